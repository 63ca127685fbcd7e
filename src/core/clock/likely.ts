import { JUDGED_SD, SOFT, START_SD } from '../timing/estimates.ts';
import type { Run } from '../timing/run.ts';
import type { Minutes } from '../units/quantity.ts';
import type { Option } from './option.ts';

/** A minute more is worth so many of a hundred odds. A judgement. */
const MINUTE_COSTS = 0.15;

/** What a way is worth: of a hundred times it holds so often, less its trouble and its minutes. */
export const worth = (holds: number, options: readonly Option[], min: Minutes): number =>
  100 * holds - options.reduce((s, o) => s + o.cost, 0) - MINUTE_COSTS * min;

/**
 * ln of the chance that a standard normal number is below z: by the logistic curve, good enough to put ways
 * in order.
 */
const lnBelow = (z: number): number => -Math.log1p(Math.exp(-1.702 * Math.max(-40, z)));

/**
 * About how likely a course is to hold, as it was just run: every window by how far its pots are from its
 * end, and 0 for what fails anyway.
 */
export function likely(run: Run): number {
  const { acts, pots, doubts } = run.course;
  let ln = 0;
  for (let i = 0; i < acts.length; i += 1) {
    const act = acts[i];
    const thickest = run.thickest[i] as number;
    if (act?.window) {
      const pot = pots[act.pots[0] ?? 0];
      const grown = Math.max(0, thickest - (pot?.start ?? 0));
      const sd = Math.hypot(JUDGED_SD, START_SD, (doubts[pot?.doubt ?? 0]?.sd ?? 0) * grown);
      ln += lnBelow((act.window.most + SOFT / 2 - thickest) / sd);
    }
    if ((run.fails[i] as number) !== 0) ln -= 0.5;
  }
  return Math.exp(ln);
}
