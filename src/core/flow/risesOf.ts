import { levelAt, type Levels } from './levels.ts';
import { before, LAID, newPart, type Rise } from './rise.ts';
import type { Move, Source } from './spec.ts';

export type RiseMove = Extract<Move, { does: 'rise' }>;

const sameSource = (a: Source, b: Source): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Rises that belong together, or what is between them. */
export type Part =
  { readonly does: 'rises'; readonly moves: readonly [RiseMove, ...RiseMove[]] } | Exclude<Move, RiseMove>;

/** Batter that is laid on what is there, and moves at most its surface. */
const isLaid = ({ source }: RiseMove): boolean => source.kind === 'level' || source.kind === 'lines';

/**
 * Rises from the same source one after another, and what is between them, in the order they were made. Batter
 * that is laid goes with its neighbours; close lines, what is of several colours and what is rough by
 * themselves.
 */
export function partsOf(moves: readonly Move[]): readonly Part[] {
  const parts: Part[] = [];
  let rises: [RiseMove, ...RiseMove[]] | undefined;
  let source: Source | undefined;
  for (const move of moves) {
    if (move.does !== 'rise' || move.source.kind === 'lines' || move.mixed || move.roughMm !== undefined) {
      parts.push(move.does === 'rise' ? { does: 'rises', moves: [move] } : move);
      rises = undefined;
      source = undefined;
      continue;
    }
    const laid = isLaid(move);
    if (rises && (laid || source === undefined || sameSource(source, move.source))) rises.push(move);
    else {
      rises = [move];
      source = undefined;
      parts.push({ does: 'rises', moves: rises });
    }
    if (!laid) source = move.source;
  }
  return parts;
}

/**
 * What moves below the surface, as heights; `heights` goes from the floor to where the block begins to be
 * poured.
 */
export function risesOf(
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
      const deepest = levels[Math.max(0, surface - Math.round(move.reachMm / spacing))]?.height ?? 0;
      // where there was no batter yet it has nothing to reach through
      base = Math.min(height, deepest);
    }
    const rise = {
      from: height,
      to,
      plunge: isLaid(move) ? LAID : move.plunge,
      base,
    };
    height = to;
    return rise;
  });
}

/**
 * By level and pour, newest first, what of the thickness of the level lies below batter that is only laid:
 * exact wherever a surface is between two levels. `now` goes back as in `leftBeyond`.
 */
export function leftBelow(rises: readonly Rise[], now: Float64Array): Float64Array {
  const newest = rises.toReversed();
  const below = new Float64Array(now.length * newest.length);
  const last = now.length - 1;
  const heights = Float64Array.from(now);
  const edge = (l: number): number => {
    if (l === 0) return 0;
    const under = heights[l - 1] as number;
    return l > last
      ? under + (under - (heights[last - 1] as number)) / 2
      : (under + (heights[l] as number)) / 2;
  };
  for (let l = 0; l <= last; l += 1) {
    const [foot, head] = [edge(l), edge(l + 1)];
    for (const [k, { from }] of newest.entries())
      below[l * newest.length + k] = Math.min(1, Math.max(0, (from - foot) / Math.max(1e-9, head - foot)));
    now[l] = Math.min(now[l] as number, newest.at(-1)?.from ?? Infinity);
  }
  return below;
}

/**
 * By level and pour, newest first, what of the area is left beyond: `now` goes back to where each level was
 * before them. `at` is told of every pour and level on the way, and of the height that is in it then.
 */
export function leftBeyond(
  rises: readonly Rise[],
  now: Float64Array,
  at?: (level: number, pour: number, height: number) => void,
): Float64Array {
  const newest = rises.toReversed();
  const beyond = new Float64Array(now.length * newest.length);
  for (let l = 0; l < now.length; l += 1) {
    let left = 1;
    for (const [k, rise] of newest.entries()) {
      const z = now[l] as number;
      at?.(l, k, z);
      // a surface comes back as a surface, whatever the last digit
      const z0 = Math.min(rise.from, before(rise, z));
      left *= 1 - newPart(rise, z, z0);
      beyond[l * newest.length + k] = left;
      now[l] = z0;
    }
  }
  return beyond;
}
