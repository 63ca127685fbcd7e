import type { Task } from '../task/task.ts';
import { long, valueAt, wide, type Box } from './box.ts';
import { fieldOf, type Field } from './field.ts';
import { waver } from './hand.ts';
import { levelAt, levelsOf, type Level, type Levels } from './levels.ts';
import { before, LAID, newPart, type Rise } from './rise.ts';
import { edgesOf, type Edges } from './outline.ts';
import { sharesOf, shareAt, type Shares } from './shares.ts';
import type { BlockSpec, Move, Source, Spot } from './spec.ts';
import { warpOf, type Warp } from './stroke.ts';

/** Pours one after another from one source, the newest first. */
export interface Run {
  readonly kind: 'run';
  readonly deposits: readonly number[];
  /** by level and pour: what of the area still lies beyond, once this pour and all newer ones are in; COUNT x pours */
  readonly beyond: Float64Array;
  readonly from: From;
}

/** How far a run's batter has come, read off a place. */
export type From =
  | { readonly kind: 'everywhere' }
  | {
      readonly kind: 'line';
      readonly axis: 0 | 1;
      /** by level: the area before a place of the axis; undefined where that is its part of the box */
      readonly areas: readonly (Shares | undefined)[];
      /** by level and pour: the line's place, as the part of the area before it */
      readonly at: Float64Array;
      /** it keeps its place for all pours of each level */
      readonly steady: boolean;
      /** number of the level that each level was before all these pours */
      readonly was: Uint16Array;
    }
  | {
      readonly kind: 'walls';
      readonly axis: 0 | 1;
      readonly areas: readonly (Shares | undefined)[];
      readonly low: number;
      readonly was: Uint16Array;
    }
  | {
      readonly kind: 'field';
      readonly field: Field;
      /** by level: the area by how much lies beyond */
      readonly areas: readonly Shares[];
      readonly was: Uint16Array;
    }
  /** within the column's outline */
  | { readonly kind: 'hole'; readonly edges: Edges; readonly middle: Spot };

export interface Drawn {
  readonly kind: 'drawn';
  readonly warp: Warp;
  /** by level: 1 where the stick went, 0 below it */
  readonly part: Float64Array;
}

export type Stage = Run | Drawn;

/** A block made ready: any number of faces can be read off it. */
export interface Prepared {
  readonly spec: BlockSpec;
  readonly levels: Levels;
  /** last first, as a place is pulled back */
  readonly stages: readonly Stage[];
}

type RiseMove = Extract<Move, { does: 'rise' }>;

const sameSource = (a: Source, b: Source): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Runs of rises from the same source, and what is between them, in the order they were made. Batter that is laid goes with its neighbours. */
function groups(moves: readonly Move[]): readonly (readonly RiseMove[] | Exclude<Move, RiseMove>)[] {
  const out: (RiseMove[] | Exclude<Move, RiseMove>)[] = [];
  let source: Source | undefined;
  for (const move of moves) {
    if (move.does !== 'rise') {
      out.push(move);
      source = undefined;
      continue;
    }
    const last = out.at(-1);
    const laid = move.source.kind === 'level';
    if (Array.isArray(last) && (laid || source === undefined || sameSource(source, move.source)))
      last.push(move);
    else out.push([move]);
    source = laid ? (Array.isArray(last) ? source : undefined) : move.source;
  }
  return out;
}

/** What moves below the surface, as heights; `heights` goes from the floor to where the block begins to be poured. */
function risesOf(
  moves: readonly RiseMove[],
  from: number,
  { area, levels, spacing }: Levels,
): readonly Rise[] {
  let height = from;
  return moves.map((move): Rise => {
    const to = height + move.volumeMm3 / area;
    let base = 0;
    if (move.reachMm !== undefined) {
      const surface = levelAt({ levels }, to);
      base = levels[Math.max(0, surface - Math.round(move.reachMm / spacing))]?.height ?? 0;
    }
    const rise = {
      from: height,
      to,
      plunge: move.source.kind === 'level' ? LAID : move.plunge,
      base,
    };
    height = to;
    return rise;
  });
}

const partBefore = (areas: Shares | undefined, part: number): number => (areas ? shareAt(areas, part) : part);

/** By level, the area before a place of an axis. */
const areasAlong = (levels: Levels, axis: 0 | 1): readonly (Shares | undefined)[] =>
  levels.levels.map((l, i) =>
    l.full || i % STRIDE !== 0
      ? undefined
      : sharesOf(l.box, l.outline, undefined, (u, v) => (axis === 0 ? u : v)),
  );

/** Levels that are not their whole box are looked at one in so many; those between are taken as the nearest. */
const STRIDE = 10;

const spreadOut = <T>(
  all: readonly (T | undefined)[],
  full: readonly boolean[],
): readonly (T | undefined)[] =>
  all.map((_, i) => {
    if (full[i] === true) return undefined;
    const near = Math.min(all.length - 1, Math.round(i / STRIDE) * STRIDE);
    return all[near];
  });

const edges = (box: Box, axis: 0 | 1): readonly [number, number] =>
  axis === 0 ? [box.x0, box.x1] : [box.y0, box.y1];

/** Where a line is among the area of a level: its place in mm kept, at most at a wall. */
function lineAt({ box }: Level, areas: Shares | undefined, axis: 0 | 1, at: number): number {
  const [low, high] = edges(box, axis);
  return partBefore(areas, Math.min(1, Math.max(0, (at - low) / (high - low))));
}

interface Making {
  readonly spec: BlockSpec;
  readonly levels: Levels;
  readonly fields: Map<string, Field>;
}

function* fieldFor(
  { levels, fields }: Making,
  source: Extract<Source, { kind: 'outline' | 'point' }>,
): Task<never, Field> {
  const key = JSON.stringify(source);
  const known = fields.get(key);
  if (known) return known;
  const field = yield* fieldOf(levels.box, source);
  fields.set(key, field);
  return field;
}

/** One run of pours: what of each level each of them takes, and how far that is told from its source. */
function* runOf(
  making: Making,
  moves: readonly RiseMove[],
  from: number,
  now: Float64Array,
): Task<never, Run> {
  const { levels, spec } = making;
  const rises = risesOf(moves, from, levels);
  const newest = rises.toReversed();
  const count = newest.length;
  const beyond = new Float64Array(levels.levels.length * count);
  const source = moves.find((m) => m.source.kind !== 'level')?.source ?? { kind: 'level' };
  const axis = source.kind === 'line' || source.kind === 'walls' ? source.axis : 0;
  const full = levels.levels.map((l) => l.full);
  const areas =
    source.kind === 'line' || source.kind === 'walls' ? spreadOut(areasAlong(levels, axis), full) : [];
  const at = source.kind === 'line' ? new Float64Array(beyond.length) : undefined;
  const was = new Uint16Array(levels.levels.length);
  let steady = true;
  for (let l = 0; l < levels.levels.length; l += 1) {
    let z = now[l] as number;
    let left = 1;
    for (const [k, rise] of newest.entries()) {
      const to = l * count + k;
      if (source.kind === 'line' && at) {
        const here = levelAt(levels, z);
        at[to] = lineAt(levels.levels[here] as Level, areas[here], axis, source.at);
        if (Math.abs((at[to] as number) - (at[l * count] as number)) > 2e-4) steady = false;
      }
      // a surface comes back as a surface, whatever the last digit
      const z0 = Math.min(rise.from, before(rise, z));
      left *= 1 - newPart(rise, z, z0);
      beyond[to] = left;
      z = z0;
    }
    now[l] = z;
    was[l] = levelAt(levels, z);
  }
  const run = { kind: 'run' as const, deposits: moves.map((m) => m.deposit).toReversed(), beyond };
  switch (source.kind) {
    case 'level':
      return { ...run, from: { kind: 'everywhere' } };
    case 'line':
      return { ...run, from: { kind: 'line', axis, areas, at: at ?? beyond, steady, was } };
    case 'walls':
      return { ...run, from: { kind: 'walls', axis, areas, low: source.low, was } };
    case 'outline':
    case 'point': {
      const field = yield* fieldFor(making, source);
      const of = (level: Level): Shares =>
        sharesOf(level.box, level.full ? undefined : level.outline, spec.column, (u, v) =>
          valueAt(field.beyond, field.box.x0 + u * wide(field.box), field.box.y0 + v * long(field.box)),
        );
      const top = levels.levels.at(-1) as Level;
      const whole = of(full.some((f) => f) ? (levels.levels.find((l) => l.full) ?? top) : top);
      const each: (Shares | undefined)[] = [];
      for (const [i, level] of levels.levels.entries()) {
        each.push(level.full || i % STRIDE !== 0 ? undefined : of(level));
        if (i % 50 === 0) yield { done: 0.95 };
      }
      const own = spreadOut(each, full);
      return { ...run, from: { kind: 'field', field, areas: own.map((s) => s ?? whole), was } };
    }
  }
}

/** By level and pour, newest first, what is left beyond: `now` goes back to where each level was before them. */
function leftBeyond(rises: readonly Rise[], now: Float64Array): Float64Array {
  const newest = rises.toReversed();
  const beyond = new Float64Array(now.length * newest.length);
  for (let l = 0; l < now.length; l += 1) {
    let left = 1;
    for (const [k, rise] of newest.entries()) {
      const z = now[l] as number;
      const z0 = Math.min(rise.from, before(rise, z));
      left *= 1 - newPart(rise, z, z0);
      beyond[l * newest.length + k] = left;
      now[l] = z0;
    }
  }
  return beyond;
}

/** The hole that a column leaves, filled down its middle: a small mould in the mould. */
function holeOf(
  { spec, levels }: Making,
  { parts, holeMm3 }: Extract<Move, { does: 'fill' }>,
): Run | undefined {
  const points = spec.column;
  if (!points || parts.length === 0) return undefined;
  let from = 0;
  const rises = parts.map(({ volumeMm3, plunge }): Rise => {
    const rise = { from, to: from + volumeMm3 / holeMm3, plunge, base: 0 };
    from = rise.to;
    return rise;
  });
  const now = Float64Array.from(levels.levels, (_, l) => (l + 0.5) / levels.levels.length);
  const beyond = leftBeyond(rises, now);
  // above what fills it the soap runs in
  const empty = Math.round(from * levels.levels.length) * parts.length;
  if (empty < beyond.length) beyond.fill(1, empty);
  const [sx, sy] = points.reduce(([x, y], p) => [x + p[0], y + p[1]] as const, [0, 0] as const);
  const middle: Spot = [sx / points.length, sy / points.length];
  return {
    kind: 'run',
    deposits: parts.map((p) => p.deposit).toReversed(),
    beyond,
    from: { kind: 'hole', edges: edgesOf(points), middle },
  };
}

/** How much of a stroke there is at each level: all down to the stick's tip, less and less over its width below. */
function depthPart(
  { levels, spacing }: Levels,
  surface: number,
  depthMm: number,
  widthMm: number,
): Float64Array {
  const tip = levelAt({ levels }, surface) - depthMm / spacing;
  return Float64Array.from(levels, (_, l) => Math.min(1, Math.max(0, 1 - ((tip - l) * spacing) / widthMm)));
}

/** Everything that faces are read off, made once. Long for many strokes: it can be left off between. */
export function* prepare(spec: BlockSpec): Task<never, Prepared> {
  const levels = levelsOf(spec);
  yield { done: 0.1 };
  const making: Making = { spec, levels, fields: new Map() };
  const parts = groups(spec.moves);
  /** the surface before each part */
  const surfaces: number[] = [];
  let surface = 0;
  for (const part of parts) {
    surfaces.push(surface);
    if (Array.isArray(part))
      surface += (part as readonly RiseMove[]).reduce((s, m) => s + m.volumeMm3, 0) / levels.area;
  }
  // volumes are given to a double's last digits; what they add up to is the block
  const fits = surface / (levels.volumeMm3 / levels.area);
  const now = Float64Array.from(levels.levels, (l) => l.height * fits);
  const stages: Stage[] = [];
  if (spec.hand > 0) {
    const part = new Float64Array(levels.levels.length).fill(1);
    stages.push({ kind: 'drawn', warp: waver(levels.box, spec.hand, 7), part });
  }
  for (let i = parts.length - 1; i >= 0; i -= 1) {
    const part = parts[i] as (typeof parts)[number];
    if (!('does' in part)) stages.push(yield* runOf(making, part, surfaces[i] ?? 0, now));
    else if (part.does === 'stroke') {
      const warp = yield* warpOf(part.paths, part.widthMm, levels.box);
      const deep = depthPart(levels, surfaces[i] ?? 0, part.depthMm, part.widthMm);
      stages.push({ kind: 'drawn', warp, part: deep });
    } else if (part.does === 'fill') {
      const hole = holeOf(making, part);
      if (hole) stages.push(hole);
    }
    yield { done: 1 - i / (parts.length + 1) };
  }
  return { spec, levels, stages };
}
