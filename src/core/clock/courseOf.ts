import type { Day } from '../day/act.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Laid } from './course/draft.ts';
import { asLearned, learnedOf } from './learned.ts';
import type { PlanCourse } from './planCourse.ts';
import { priorCourse } from './priorCourse.ts';

/**
 * The course of a plan, its rates as its readings have them. Undefined while nothing is known of its batter.
 */
export function courseOf(plan: Plan, laid: Laid, day?: Day): PlanCourse | undefined {
  const prior = priorCourse(plan, laid, day);
  if (!prior || (plan.clock.readings ?? []).length === 0) return prior;
  return { ...prior, course: asLearned(prior.course, learnedOf(plan, laid, prior)) };
}
