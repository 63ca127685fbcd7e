import type { PlanInBars } from '../advice/facts.ts';
import { planTimetable } from '../clock/timetable.ts';
import { pouredOtherwise, type HappenedByPour } from '../batch/happened.ts';
import { layingPlan } from '../fill/layPlan.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import { scaled } from '../weigh/scaled.ts';
import type { Computed } from './compute.ts';
import { inBars } from './inBars.ts';

/**
 * What is drawn of a plan while something of it is dragged: where everything lies, with masses as planned,
 * before a scale's steps. Undefined where something was really poured otherwise than planned: then its layers
 * lie by what is weighed.
 */
export function* movingPlan(plan: Plan, happened: HappenedByPour): Task<unknown, PlanInBars | undefined> {
  return pouredOtherwise(happened) ? undefined : inBars(scaled(yield* layingPlan(plan), undefined));
}

/** What a day's lanes are drawn from. */
export type Times = Pick<Computed, 'plan' | 'clock'>;

/** The same plan with its minutes, while nothing of it is weighed. */
export const movingTimes = (moving: PlanInBars): Times => ({
  plan: moving.plan,
  clock: planTimetable(moving.plan, moving),
});
