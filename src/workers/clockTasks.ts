import { outlook, SAMPLES, SEED } from '../core/clock/outlook.ts';
import { searching } from '../core/clock/ways.ts';
import { offered, type Offered } from '../core/clock/offered.ts';
import type { Warning } from '../core/advice/warning.ts';
import { computePlan } from '../core/computed/compute.ts';
import { layPlan } from '../core/fill/layPlan.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Task } from '../core/task/task.ts';

const named = ({ code, step, pot }: Warning): string => `${code} ${step ?? ''} ${pot ?? ''}`;

/** Whether nothing is refused of a plan, and nothing warned of that is not warned of this one. */
export function noWorseThan(plan: Plan): (other: Plan) => boolean {
  const known = new Set(computePlan(plan).warnings.map(named));
  return (other) =>
    computePlan(other).warnings.every(
      (w) => w.level === 'note' || (w.level === 'warn' && known.has(named(w))),
    );
}

/** Ways of doing a plan that hold, as they can be posted; undefined while nothing is known of its batter. */
function* ways(plan: Plan): Task<never, Offered | undefined> {
  const accepts = noWorseThan(plan);
  const found = yield* searching(plan, layPlan(plan), { seed: SEED, samples: SAMPLES, accepts });
  return found && offered(found);
}

export const CLOCK_TASKS = { outlook, ways };
export type ClockTasks = typeof CLOCK_TASKS;
