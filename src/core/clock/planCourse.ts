import type { Course } from '../timing/course.ts';
import type { About, PotAbout } from './course/draft.ts';

/** A plan as a course of acts by one pair of hands, with what each act, and each pot, is in the plan. */
export interface PlanCourse {
  readonly course: Course;
  readonly acts: readonly About[];
  readonly pots: readonly PotAbout[];
}
