import { slice } from '../geometry/clip.ts';
import { openProfile } from '../geometry/openProfile.ts';
import { corners } from '../geometry/polyhedron.ts';
import { signedArea } from '../geometry/star.ts';
import { cross, dot, type Vec3 } from '../geometry/vec.ts';
import { boxAbout, long, wide, type Box } from './box.ts';
import type { BlockSpec, Spot } from './spec.ts';

/** A thin sheet of the block, square to its up: what it is in its middle. */
export interface Level {
  /** volume below it, over a fixed area, mm */
  readonly height: number;
  readonly box: Box;
  /** its outline, mm in plan */
  readonly outline: readonly Spot[];
  /** it fills its box, so that it is the reference rectangle drawn wider or narrower */
  readonly fills: boolean;
  /** what part of its area lies where is the same as at the top */
  readonly asTop: boolean;
}

/** A block as it is cut into levels. */
export interface Levels {
  /** right and away in plan, and up: square to each other, of length one */
  readonly axes: readonly [Vec3, Vec3, Vec3];
  /** the floor, and how thick a level is, mm along `up` */
  readonly lowest: number;
  readonly spacing: number;
  readonly volumeMm3: number;
  /** mm^2: a volume over this is a height */
  readonly area: number;
  readonly levels: readonly Level[];
  /** the rectangle about all levels, that plans are drawn in */
  readonly box: Box;
}

/** So many levels: each a fifth of a millimetre in a usual loaf. */
const COUNT = 300;

/**
 * A slice whose area is nearer than this to its box's is taken for it: three of these stay below the half of
 * a percent that volumes are held to.
 */
const FULL = 0.0015;

function axesOf(up: Vec3): readonly [Vec3, Vec3, Vec3] {
  const along = up[0];
  const raw: Vec3 = [1 - along * up[0], 0 - along * up[1], 0 - along * up[2]];
  const length = Math.hypot(...raw);
  const right: Vec3 = [raw[0] / length, raw[1] / length, raw[2] / length];
  return [right, cross(up, right), up];
}

export function levelsOf({
  region,
  blocked,
  columns,
  up,
}: Pick<BlockSpec, 'region' | 'blocked' | 'columns' | 'up'>): Levels {
  const axes = axesOf(up);
  const [right, away] = axes;
  const flat = (p: Vec3): Spot => [dot(right, p), dot(away, p)];
  const profile = openProfile([{ solid: region, blocked }], up);
  const span = profile.highest - profile.lowest;
  const area = profile.total / span;
  const all = boxAbout(corners(region).map(flat));
  const cut = Array.from({ length: COUNT }, (_, i) => {
    const offset = profile.lowest + (span * (i + 0.5)) / COUNT;
    const outline = slice(region, { normal: up, offset }).map(flat);
    const box = outline.length > 2 ? boxAbout(outline) : all;
    const height = profile.volumeBelow(offset) / area;
    return { height, box, outline, part: Math.abs(signedArea(outline)) / (wide(box) * long(box)) };
  });
  const near = (a: number, b: number): boolean => Math.abs(a / b - 1) < FULL;
  const top = cut[COUNT - 1] as (typeof cut)[number];
  const levels = cut.map(({ part, ...level }): Level => {
    const fills = near(part, 1);
    const asWide = near(wide(level.box), wide(top.box)) && near(long(level.box), long(top.box));
    const asTop = near(part, top.part) && (asWide || (fills && columns.length === 0));
    return { ...level, fills, asTop };
  });
  return {
    axes,
    lowest: profile.lowest,
    spacing: span / COUNT,
    volumeMm3: profile.total,
    area,
    levels,
    box: all,
  };
}

/** The number of the level nearest to a height, both volumes over the area. */
export function levelAt({ levels }: Pick<Levels, 'levels'>, height: number): number {
  let [low, high] = [0, levels.length - 1];
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if ((levels[mid] as Level).height <= height) low = mid;
    else high = mid;
  }
  const [a, b] = [(levels[low] as Level).height, (levels[high] as Level).height];
  return height - a < b - height ? low : high;
}
