import { levelAt, type Levels } from './levels.ts';
import { before, LAID, newPart, type Rise } from './rise.ts';
import type { Move, Source } from './spec.ts';

export type RiseMove = Extract<Move, { does: 'rise' }>;

const sameSource = (a: Source, b: Source): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Rises that belong together, or what is between them. */
export type Part = { readonly does: 'rises'; readonly moves: readonly RiseMove[] } | Exclude<Move, RiseMove>;

/** Rises from the same source one after another, and what is between them, in the order they were made. Batter that is laid goes with its neighbours. */
export function partsOf(moves: readonly Move[]): readonly Part[] {
  const parts: Part[] = [];
  let rises: RiseMove[] | undefined;
  let source: Source | undefined;
  for (const move of moves) {
    if (move.does !== 'rise') {
      parts.push(move);
      rises = undefined;
      source = undefined;
      continue;
    }
    const laid = move.source.kind === 'level';
    if (!rises || !(laid || source === undefined || sameSource(source, move.source))) {
      rises = [];
      source = undefined;
      parts.push({ does: 'rises', moves: rises });
    }
    rises.push(move);
    if (!laid) source = move.source;
  }
  return parts;
}

/** What moves below the surface, as heights; `heights` goes from the floor to where the block begins to be poured. */
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
      plunge: move.source.kind === 'level' ? LAID : move.plunge,
      base,
    };
    height = to;
    return rise;
  });
}

/**
 * By level and pour, newest first, what of the area is left beyond: `now` goes back to where each level was before them. `at` is told of every pour and
 * level on the way, and of the height that is in it then.
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
