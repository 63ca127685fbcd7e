import { planTimetable, type Timetable } from '../clock/timetable.ts';
import type { Day } from '../day/act.ts';
import type { HappenedByPour } from '../batch/happened.ts';
import { dayOf } from '../day/order/dayOf.ts';
import { dayOfBags } from '../day/order/second.ts';
import type { LaidPlan } from '../fill/laid.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isSecond } from '../plan/second.ts';
import { fieldsOf, keptByInputs } from '../task/kept.ts';
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

const weighed = keptByInputs<WeighedDay>();
const timed = keptByInputs<Timetable | undefined>();

/**
 * The acts of a laid plan in order, with everything that they put on the scale: the same objects while
 * nothing changes that counts.
 */
export const weighedDay = (laid: LaidPlan, happened: HappenedByPour): WeighedDay =>
  weighed(weighedBy(laid.plan, happened), () => {
    const { plan, recipe, moulds } = laid;
    const day = isSecond(plan) ? dayOfBags(plan) : dayOf(plan, moulds);
    return { day, weights: recipe && weighPlan(laid, recipe, day, happened) };
  });

/** The same acts with their minutes. */
export const timedDay = (laid: LaidPlan, day: Day, happened: HappenedByPour): Timetable | undefined =>
  timed(timedBy(laid.plan, happened), () => planTimetable(laid.plan, laid, day));
