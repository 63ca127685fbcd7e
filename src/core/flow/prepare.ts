import { signedArea } from '../geometry/star.ts';
import type { Task } from '../task/task.ts';
import { blurredStage } from './blurred.ts';
import { long, wide, type Box } from './box.ts';
import { beyondAt, fieldOf, type Field } from './field.ts';
import { waver } from './hand.ts';
import { heightsOf } from './heights.ts';
import { levelAt, levelsOf, type Level, type Levels } from './levels.ts';
import { starOf, type Star } from './outline.ts';
import type { Rise } from './rise.ts';
import { leftBelow, leftBeyond, partsOf, risesOf, type RiseMove } from './risesOf.ts';
import { sharesOf, shareAt, valueOfShare, type Shares } from './shares.ts';
import type { BlockSpec, Move, Source, Spot } from './spec.ts';
import { linesStage, wireStage } from './section.ts';
import type { Prepared, Run, Stage } from './stages.ts';
import { warpOf } from './stroke.ts';
import { textureOf } from './texture.ts';

const partBefore = (areas: Shares | undefined, part: number): number => (areas ? shareAt(areas, part) : part);

/**
 * Levels that are not their whole box are looked at one in so many; those between are taken as the nearest.
 */
const STRIDE = 10;

/** A line that moves less than this part of the area from level to level stands still: 0.02 mm in a loaf. */
const STEADY = 2e-4;

/** Something of each level that is not to be left out, looked at for one in so many. */
const eachLevel = <T>(
  { levels }: Levels,
  skip: (level: Level) => boolean,
  of: (level: Level) => T,
): readonly (T | undefined)[] => {
  const seen = new Map<number, T>();
  return levels.map((level, i) => {
    if (skip(level)) return undefined;
    const near = Math.min(levels.length - 1, Math.round(i / STRIDE) * STRIDE);
    const found = seen.get(near) ?? of(levels[near] as Level);
    seen.set(near, found);
    return found;
  });
};

interface Making {
  readonly spec: BlockSpec;
  readonly levels: Levels;
  readonly columns: readonly Star[];
  readonly fields: Map<string, Field>;
  readonly small: boolean;
}

/**
 * By level, the area before a place of an axis, columns not counted; undefined where that is its part of the
 * box.
 */
const areasAlong = ({ levels, columns }: Making, axis: 0 | 1): readonly (Shares | undefined)[] =>
  eachLevel(
    levels,
    (l) => l.fills && columns.length === 0,
    (l) => sharesOf(l.box, l.fills ? undefined : l.outline, columns, (u, v) => (axis === 0 ? u : v)),
  );

const edges = (box: Box, axis: 0 | 1): readonly [number, number] =>
  axis === 0 ? [box.x0, box.x1] : [box.y0, box.y1];

/** Where a line is among the area of a level: its place in mm kept, at most at a wall. */
function lineAt({ box }: Level, areas: Shares | undefined, axis: 0 | 1, at: number): number {
  const [low, high] = edges(box, axis);
  return partBefore(areas, Math.min(1, Math.max(0, (at - low) / (high - low))));
}

/** Between the points of the grid that a stick's strokes are kept on, mm; of a small picture. */
const STROKES_SPACING = 1.25;
const SMALL_SPACING = 3;

/**
 * The outline of a plan that is round at all levels alike, as a tube's that stands; undefined for one that
 * fills its rectangle, or changes.
 */
function roundOutline({ levels, box }: Levels): readonly Spot[] | undefined {
  const parts = [0.1, 0.5, 0.9].map((at) => {
    const { outline, box: own } = levels[Math.floor(at * levels.length)] as Level;
    return Math.abs(signedArea(outline)) / (wide(own) * long(own));
  });
  const [middle] = parts;
  if (middle === undefined || middle > 0.97 || parts.some((p) => Math.abs(p - middle) > 0.02))
    return undefined;
  const { outline, box: own } = levels[levels.length >> 1] as Level;
  return outline.map(([x, y]): Spot => [
    box.x0 + ((x - own.x0) / wide(own)) * wide(box),
    box.y0 + ((y - own.y0) / long(own)) * long(box),
  ]);
}

/** What batter flows round: columns that the source is not poured over. */
const inTheWay = ({ spec, columns }: Making, source: Source): readonly Star[] => {
  const over = source.kind === 'outlines' ? source.outlines.map((o) => JSON.stringify(o)) : [];
  return columns.filter((_, i) => !over.includes(JSON.stringify(spec.columns[i])));
};

function* fieldFor(
  making: Making,
  source: Extract<Source, { kind: 'outlines' | 'point' }>,
  moved: boolean,
): Task<never, Field> {
  const { levels, fields, small } = making;
  const key = `${String(moved)} ${JSON.stringify(source)}`;
  const known = fields.get(key);
  if (known) return known;
  const within = { outline: roundOutline(levels), standing: inTheWay(making, source) };
  const field = yield* fieldOf(levels.box, source, moved, within, small);
  fields.set(key, field);
  return field;
}

/** The area of each level by how much lies beyond a source's flow lines. */
function areasOf({ levels, columns }: Making, field: Field): readonly Shares[] {
  const of = (level: Level): Shares =>
    sharesOf(level.box, level.fills ? undefined : level.outline, columns, (u, v) =>
      beyondAt(field, levels.box.x0 + u * wide(levels.box), levels.box.y0 + v * long(levels.box)),
    );
  const top = of(levels.levels.at(-1) as Level);
  return eachLevel(levels, (l) => l.asTop, of).map((s) => s ?? top);
}

/** One run of pours: what of each level each of them takes, and how far that is told from its source. */
function* runOf(
  making: Making,
  moves: readonly [RiseMove, ...RiseMove[]],
  from: number,
  now: Float64Array,
): Task<never, Run> {
  const { levels } = making;
  const rises = risesOf(moves, from, levels);
  const deposits = moves.map((m) => m.deposit).toReversed();
  const source = moves.find((m) => m.source.kind !== 'level')?.source ?? { kind: 'level' };
  const was = (): Uint16Array => Uint16Array.from(now, (z) => levelAt(levels, z));
  switch (source.kind) {
    case 'level':
    case 'lines': {
      const [{ mixed }] = moves;
      const [rise] = rises;
      const texture = mixed && rise && textureOf(levels, mixed, rise.from, rise.to, Float64Array.from(now));
      const beyond = leftBelow(rises, now);
      return {
        kind: 'run',
        deposits,
        beyond,
        from: { kind: 'everywhere' },
        ...(texture ? { texture } : {}),
      };
    }
    case 'line': {
      const { axis } = source;
      const areas = areasAlong(making, axis);
      const at = new Float64Array(levels.levels.length * rises.length);
      let steady = true;
      const beyond = leftBeyond(rises, now, (l, k, height) => {
        const here = levelAt(levels, height);
        const place = lineAt(levels.levels[here] as Level, areas[here], axis, source.at);
        at[l * rises.length + k] = place;
        steady &&= Math.abs(place - (at[l * rises.length] as number)) < STEADY;
      });
      return { kind: 'run', deposits, beyond, from: { kind: 'line', axis, areas, at, steady, was: was() } };
    }
    case 'walls': {
      const { axis, low } = source;
      const beyond = leftBeyond(rises, now);
      const areas = areasAlong(making, axis);
      return { kind: 'run', deposits, beyond, from: { kind: 'walls', axis, areas, low, was: was() } };
    }
    case 'outlines':
    case 'point': {
      const field = yield* fieldFor(making, source, from > 0);
      const beyond = leftBeyond(rises, now);
      const areas = areasOf(making, field);
      const values = Float64Array.from(beyond, (share, k) =>
        valueOfShare(areas[Math.floor(k / rises.length)] as Shares, share),
      );
      return { kind: 'run', deposits, beyond, from: { kind: 'field', field, values } };
    }
  }
}

/** The holes that columns leave, each filled down its middle: a small mould in the mould. */
function holesOf(
  { columns, levels }: Making,
  { parts, holeMm3, span: [low, high] }: Extract<Move, { does: 'fill' }>,
): readonly Run[] {
  if (parts.length === 0) return [];
  let from = 0;
  const rises = parts.map(({ volumeMm3, plunge }): Rise => {
    const rise = { from, to: from + volumeMm3 / holeMm3, plunge, base: 0 };
    from = rise.to;
    return rise;
  });
  const now = Float64Array.from(levels.levels, (_, l) =>
    Math.min(1, Math.max(0, (levels.lowest + (l + 0.5) * levels.spacing - low) / (high - low))),
  );
  const heights = Float64Array.from(now);
  const beyond = leftBeyond(rises, now);
  // above what fills it the soap runs in
  const empty = heights.findIndex((h) => h >= from || h >= 1);
  if (empty >= 0) beyond.fill(1, empty * parts.length);
  const deposits = parts.map((p) => p.deposit).toReversed();
  return columns.map((column) => ({ kind: 'run', deposits, beyond, from: { kind: 'hole', column } }));
}

/**
 * How much of a stroke there is at each level: all down to the stick's tip, less and less over its width
 * below.
 */
function depthPart(
  { levels, spacing }: Levels,
  surface: number,
  depthMm: number,
  widthMm: number,
): Float64Array {
  const tip = levelAt({ levels }, surface) - depthMm / spacing;
  return Float64Array.from(levels, (_, l) => Math.min(1, Math.max(0, 1 - ((tip - l) * spacing) / widthMm)));
}

/**
 * Everything that faces are read off, made once. Long for many strokes: it can be left off between. `small`:
 * on coarser grids, for pictures of a few dozen pixels.
 */
export function* prepare(spec: BlockSpec, small = false): Task<never, Prepared> {
  const levels = levelsOf(spec);
  yield { done: 0.1 };
  const columns = spec.columns.map(starOf);
  const making: Making = { spec, levels, columns, fields: new Map(), small };
  const parts = partsOf(spec.moves);
  /** the surface before each part */
  const surfaces: number[] = [];
  let surface = 0;
  for (const part of parts) {
    surfaces.push(surface);
    if (part.does === 'rises') surface += part.moves.reduce((s, m) => s + m.volumeMm3, 0) / levels.area;
  }
  // volumes are given to a double's last digits; what they add up to is the block
  const fits = surface / (levels.volumeMm3 / levels.area);
  const heights = Float64Array.from(levels.levels, (l) => l.height * fits);
  const now = Float64Array.from(heights);
  /** From here on back, places are told by the heights there are once the surface is at `top`. */
  const anew = (top: number): void => {
    for (const [l, h] of heights.entries()) now[l] = Math.min(h, top);
  };
  const stages: Stage[] = [];
  if (spec.hand > 0) {
    const part = new Float64Array(levels.levels.length).fill(1);
    stages.push({ kind: 'drawn', warp: waver(levels.box, spec.hand, 7), part });
  }
  for (const [i, part] of [...parts.entries()].reverse()) {
    const before = surfaces[i] ?? 0;
    switch (part.does) {
      case 'rises': {
        const [{ source, volumeMm3, roughMm = 0 }] = part.moves;
        const top = before + volumeMm3 / levels.area;
        if (source.kind === 'lines') {
          stages.push(linesStage(levels, source, before, top, heightsOf(levels, now, fits)));
          anew(top);
        } else if (roughMm > 0 && before > 0) {
          const border = { roughMm, at: before, top, fits, seed: i + 1 };
          stages.push(blurredStage(levels, border, heightsOf(levels, now, fits)));
          anew(top);
        }
        stages.push(yield* runOf(making, part.moves, before, now));
        break;
      }
      case 'wire':
        stages.push(yield* wireStage(levels, part, before, fits, heightsOf(levels, now, fits)));
        anew(before);
        break;
      case 'stroke': {
        const spacing = small ? SMALL_SPACING : STROKES_SPACING;
        const warp = yield* warpOf(part.paths, part.widthMm, levels.box, spacing);
        stages.push({ kind: 'drawn', warp, part: depthPart(levels, before, part.depthMm, part.widthMm) });
        break;
      }
      case 'line': {
        const top = { from: Math.max(0, before - part.mm), to: before, plunge: 1, base: 0 };
        const beyond = leftBelow([top], Float64Array.from(now));
        stages.push({ kind: 'run', deposits: [part.deposit], beyond, from: { kind: 'everywhere' } });
        break;
      }
      case 'fill':
        stages.push(...holesOf(making, part));
    }
    yield { done: 1 - i / (parts.length + 1) };
  }
  return { spec, levels, stages };
}
