import type { Course } from '../timing/course.ts';
import type { StepId } from '../validate/ids.ts';
import type { About, PotAbout } from './course/draft.ts';

/** A plan as a course of acts by one pair of hands, with what each act, and each pot, is in the plan. */
export interface PlanCourse {
  readonly course: Course;
  readonly acts: readonly About[];
  readonly pots: readonly PotAbout[];
  /** the layers of a pour, by its step, one for each kind of mould it goes into */
  readonly layers: ReadonlyMap<StepId, readonly number[]>;
}
