import { labOfBody, type Body } from './body.ts';
import { difference } from './difference.ts';
import type { Lab } from './lab.ts';
import { tint, type Pigment } from './pigment.ts';

export interface Nearest {
  /** g/kg of each pigment, in the order given */
  readonly doses: readonly number[];
  readonly body: Body;
  /** CIEDE2000 to the colour wanted */
  readonly difference: number;
}

/** First trials along each dose, as parts of its most. */
const TRIALS = [0, 0.01, 0.03, 0.06, 0.1, 0.16, 0.24, 0.34, 0.46, 0.6, 0.8, 1];

/**
 * Doses of one or two pigments, 0 to `mostGPerKg` each, that bring `base` nearest to a colour: a grid of
 * trials, then steps along each dose that halve until they are under a thousandth of the most.
 */
export function nearestDoses(
  wanted: Lab,
  base: Body,
  pigments: readonly { readonly pigment: Pigment; readonly mostGPerKg: number }[],
): Nearest {
  const bodyOf = (doses: readonly number[]): Body =>
    tint(
      base,
      pigments.map((p, i) => ({ pigment: p.pigment, doseGPerKg: doses[i] ?? 0 })),
    );
  const miss = (doses: readonly number[]): number => difference(wanted, labOfBody(bodyOf(doses)));
  let grid: number[][] = [[]];
  for (const { mostGPerKg } of pigments)
    grid = grid.flatMap((doses) => TRIALS.map((part) => [...doses, part * mostGPerKg]));
  let best = grid[0] ?? [];
  let least = miss(best);
  const attempt = (doses: number[]): boolean => {
    const d = miss(doses);
    if (d >= least - 1e-12) return false;
    best = doses;
    least = d;
    return true;
  };
  grid.forEach(attempt);
  for (let part = 0.1; part > 1e-5; part /= 2) {
    let moved = true;
    while (moved) {
      moved = false;
      for (const [i, { mostGPerKg }] of pigments.entries())
        for (const sign of [1, -1]) {
          const dose = (best[i] ?? 0) + sign * part * mostGPerKg;
          const inside = Math.min(mostGPerKg, Math.max(0, dose));
          if (attempt(best.with(i, inside))) moved = true;
        }
    }
  }
  return { doses: best, body: bodyOf(best), difference: least };
}
