import type { Mix, Ombre } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { doseIn } from './doseIn.ts';
import { between, paintsOfOmbre, rampBetween } from './shades.ts';
import { placesOn } from './strip.ts';

/**
 * The layers still to come, spaced anew from the shade that was really made to the end of its run. Undefined
 * when that shade is past the end already: then nothing more is added.
 */
export function respaced(
  plan: Plan,
  ombre: Ombre,
  now: Mix,
  rising: boolean,
  remaining: number,
): readonly Mix[] | undefined {
  const start = rising ? ombre.from : ombre.to;
  const end = rising ? ombre.to : ombre.from;
  const past = end.some(
    ({ colorant, doseGPerKg }) =>
      doseGPerKg > doseIn(start, colorant) && doseIn(now, colorant) > doseGPerKg + 1e-9,
  );
  if (past) return undefined;
  const [first, last] = rising ? [now, end] : [end, now];
  // places count from the first colour, whichever way the run goes
  const ramp = rampBetween(paintsOfOmbre(plan, ombre), first, last);
  const places = placesOn(ramp, ombre.spacing, remaining + 1);
  return (rising ? places : places.toReversed()).slice(1).map((t) => between(first, last, t));
}
