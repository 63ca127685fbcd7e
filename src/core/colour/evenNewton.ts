import { difference } from './difference.ts';
import type { Lab } from './lab.ts';
import type { Ramp } from './ramp.ts';

/** From a start that is near, three or four are enough. */
const ROUNDS = 8;

/** Of the whole way, for slopes by difference: small beside a step, large beside a double's rounding. */
const BESIDE = 1e-5;

/**
 * Places on the seen way, 0 to 1, whose neighbours differ (CIEDE2000) in the proportion of `weights`, all
 * above nothing: every place and the size of the step solved together, by Newton's method. Step i hangs on
 * the places at its ends alone, so the change of each place follows from the one before it and from the
 * change of the size; the last place stays where it is, which gives the size. Undefined where the steps do
 * not come out right to `tolerance`, or out of order: where CIEDE2000 jumps.
 */
export function evenNewton(ramp: Ramp, weights: readonly number[], tolerance: number): number[] | undefined {
  const total = weights.reduce((a, b) => a + b, 0);
  let size = ramp.length / total;
  let run = 0;
  let places = [0, ...weights.map((w) => (run += w) / total)];
  places[weights.length] = 1;
  const at = (s: number): Lab => ramp.labAt(ramp.at(s));
  for (let round = 0; round < ROUNDS; round += 1) {
    const labs = places.map(at);
    const missed = weights.map((w, i) => difference(labs[i] as Lab, labs[i + 1] as Lab) - size * w);
    if (missed.every((m) => Math.abs(m) <= tolerance)) return places;
    const before = places.map((s) => at(Math.max(0, s - BESIDE)));
    // each place's change as p + q times the size's
    const p = [0];
    const q = [0];
    for (const [i, w] of weights.entries()) {
      const [from, to] = [labs[i] as Lab, labs[i + 1] as Lab];
      const here = (missed[i] as number) + size * w;
      const byFrom = (here - difference(before[i] as Lab, to)) / BESIDE;
      const byTo = (here - difference(from, before[i + 1] as Lab)) / BESIDE;
      p.push((-(missed[i] as number) - byFrom * (p[i] as number)) / byTo);
      q.push((w - byFrom * (q[i] as number)) / byTo);
    }
    const change = -(p.at(-1) as number) / (q.at(-1) as number);
    size += change;
    places = places.map((s, i) =>
      i === 0 || i === weights.length ? s : s + (p[i] as number) + (q[i] as number) * change,
    );
    if (!places.every((s, i) => i === 0 || s > (places[i - 1] as number))) return undefined;
  }
  return undefined;
}
