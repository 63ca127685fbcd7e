import type { Reading } from '../plan/clockSchema.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Minutes, Stage } from '../units/quantity.ts';
import type { Laid } from './course/draft.ts';
import { histories, rateOf, stageBy } from './history.ts';
import type { LearnedRate } from './learned.ts';
import type { PlanCourse } from './planCourse.ts';
import { RECIPE, scentDoubt, scentSpeed } from './scents.ts';

/**
 * How thick a pot that was looked at was foretold to be, and what is foretold of the same since: NaN before
 * it is there.
 */
export interface Foretold {
  readonly pot: Pot;
  readonly readings: readonly Reading[];
  readonly before: (min: Minutes) => Stage;
  readonly now: (min: Minutes) => Stage;
}

/** Every pot with readings, treated as it was by its last one. */
export function foretoldOf(
  plan: Plan,
  laid: Laid,
  prior: PlanCourse,
  learned: readonly LearnedRate[],
): readonly Foretold[] {
  const asPlanned = histories(plan, laid, prior);
  const taken = new Map(plan.batter.fragrances.map((f) => [f.id, scentSpeed(f).factor]));
  const times = (name: string): number => {
    const rate = learned.find((l) => l.name === name);
    return rate && !rate.refused ? rate.factor : 1;
  };
  return plan.pots.flatMap((pot): Foretold[] => {
    // of the jug: what was read of the layer is another thing
    const readings = (plan.clock.readings ?? []).filter((r) => r.pot === pot.id && !r.lying);
    const last = readings.toSorted((a, b) => a.min - b.min).at(-1);
    const history = last && (last.history ?? asPlanned(last));
    if (!history) return [];
    const rate = rateOf(plan.clock, history);
    return [
      {
        pot,
        readings,
        before: (min) => stageBy(history, min, rate, (f) => taken.get(f) ?? 1),
        now: (min) =>
          stageBy(history, min, rate * times(RECIPE), (f) => (taken.get(f) ?? 1) * times(scentDoubt(f))),
      },
    ];
  });
}
