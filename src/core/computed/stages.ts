import { planTimetable, type Timetable } from '../clock/timetable.ts';
import type { Day } from '../day/act.ts';
import type { HappenedByPour } from '../batch/happened.ts';
import { dayOf } from '../day/order/dayOf.ts';
import { dayOfBags } from '../day/order/second.ts';
import type { LaidPlan } from '../fill/laid.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isSecond } from '../plan/second.ts';
import { bendOf } from '../look/shifts.ts';
import { holeMassG } from '../pattern/hole.ts';
import { fieldsOf, keptByInputs, keptTask } from '../task/kept.ts';
import type { Task } from '../task/task.ts';
import { weighPlan, type Weights } from '../weigh/weights.ts';

/**
 * What a plan is called, and when it was written, is nothing to any stage; how it is cut only where something
 * lies evenly on its bars.
 */
function worked(plan: Plan): Omit<Plan, 'id' | 'name' | 'notes' | 'created' | 'changed' | 'cut'> {
  const { id: _id, name: _name, notes: _notes, created: _created, changed: _changed, cut, ...rest } = plan;
  return plan.steps.some((s) => s.kind === 'top') ? { ...rest, ...{ cut } } : rest;
}

/** The day of a plan and all that is weighed on it; of its timing only the order that it makes. */
function weighedBy(plan: Plan, happened: HappenedByPour): readonly unknown[] {
  const { clock, ...rest } = worked(plan);
  return [happened, clock.colouring, ...fieldsOf(rest)];
}

/** The minutes of a plan: by where its layers lie, which goes by what was really poured. */
const timedBy = (plan: Plan, happened: HappenedByPour): readonly unknown[] => [
  happened,
  ...fieldsOf(worked(plan)),
];

interface WeighedDay {
  readonly day: Day;
  readonly weights: Weights | undefined;
}

const weighed = keptTask<WeighedDay>();
const timed = keptByInputs<Timetable | undefined>();

/**
 * The acts of a laid plan in order, with everything that they put on the scale: the same objects while
 * nothing changes that counts.
 */
export const weighingDay = (laid: LaidPlan, happened: HappenedByPour): Task<never, WeighedDay> =>
  weighed(weighedBy(laid.plan, happened), function* () {
    const { plan, recipe, moulds } = laid;
    yield* measuredEach(laid);
    const day = isSecond(plan) ? dayOfBags(plan) : dayOf(plan, moulds);
    yield { done: 0.5 };
    return { day, weights: recipe && weighPlan(laid, recipe, day, happened) };
  });

/**
 * What is kept of each colorant and of each hole, one at a time: the day and its weights ask for all of it.
 */
function* measuredEach({ plan, moulds }: LaidPlan): Task<never, void> {
  for (const { nature } of plan.colorants) {
    if (nature) bendOf(nature);
    yield { done: 0 };
  }
  for (const { stack } of moulds)
    for (const layer of stack.layers) {
      if (layer.blocked.length === 0) continue;
      holeMassG([layer]);
      yield { done: 0 };
    }
}

/** The same acts with their minutes. */
export const timedDay = (laid: LaidPlan, day: Day, happened: HappenedByPour): Timetable | undefined =>
  timed(timedBy(laid.plan, happened), () => planTimetable(laid.plan, laid, day));
