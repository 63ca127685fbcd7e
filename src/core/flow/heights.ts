import { levelAt, type Levels } from './levels.ts';
import type { LevelPlace } from './levelPlace.ts';

/** The level of a height is looked up in a table so many times finer than the levels are. */
const FINER = 4;

/** What a stage that moves batter up and down needs to tell heights by levels. */
export interface Heights {
  /** by level: the height that is in it after all that comes later, once this is done */
  readonly heights: Float64Array;
  /** by level: its height once this is done, as it is itself */
  readonly own: Float64Array;
  /** the level of each height, evenly spaced from 0 up to `most` */
  readonly levelOf: Uint16Array;
  readonly most: number;
}

/** `heights` as they are just after the stage, `fits` from volume over area to the moves' own. */
export function heightsOf(levels: Levels, heights: Float64Array, fits: number): Heights {
  const most = (levels.levels.at(-1)?.height ?? 0) * fits;
  const count = levels.levels.length * FINER;
  const levelOf = Uint16Array.from({ length: count + 1 }, (_, i) =>
    levelAt(levels, ((i / count) * most) / fits),
  );
  const own = Float64Array.from(levels.levels, (l) => l.height * fits);
  return { heights: Float64Array.from(heights), own, levelOf, most };
}

/** The height of a place of a level. */
export function heightIn({ heights }: Heights, { through }: LevelPlace, level: number): number {
  const last = heights.length - 1;
  const off = through - 0.5;
  const near = off < 0 ? Math.max(0, level - 1) : Math.min(last, level + 1);
  const here = heights[level] as number;
  return here + Math.abs(off) * ((heights[near] as number) - here);
}

/** The level that a height was in; how far up in it is put into the place. */
export function levelBefore({ own, levelOf, most }: Heights, place: LevelPlace, height: number): number {
  const entries = levelOf.length - 1;
  const last = own.length - 1;
  const was = levelOf[Math.min(entries, Math.max(0, Math.round((height / most) * entries)))] as number;
  const thick = (own[Math.min(last, was + 1)] as number) - (own[Math.max(0, was - 1)] as number);
  const through = 0.5 + (2 * (height - (own[was] as number))) / thick;
  place.through = through < 0 ? 0 : through > 1 ? 1 : through;
  return was;
}
