import type { LaidPlan } from '../fill/laid.ts';
import type { Day } from '../day/act.ts';
import type { Plan } from '../plan/planSchema.ts';
import { Run } from '../timing/run.ts';
import { FAILS, type Turns } from '../timing/turns.ts';
import type { CourseAct } from '../timing/course.ts';
import { blurOn } from '../setting/blur.ts';
import type { Millimetres, Minutes, Stage } from '../units/quantity.ts';
import type { About } from './course/draft.ts';
import { courseOf } from './courseOf.ts';
import type { PlanCourse } from './planCourse.ts';

/** What can be wrong with an act at its minute. */
export type Trouble = keyof typeof FAILS;

/**
 * An act at its minute, everything going as it is taken to go. Minutes from the moment the batter is at its
 * starting stage.
 */
export interface TimedAct {
  readonly place: number;
  readonly act: CourseAct;
  readonly about: About;
  readonly startMin: Minutes;
  readonly endMin: Minutes;
  /** when it could begin at the soonest, whatever it lies on: hands free and its pots made ready */
  readonly soonestMin: Minutes;
  /** when its pots begin to be made ready for it */
  readonly preparedMin: Minutes;
  /** hands are free for so long before it */
  readonly waitMin: Minutes;
  /** from when what lies below carries it */
  readonly carriedFromMin?: Minutes;
  /** until when its pots are right for it */
  readonly pourableUntilMin?: Minutes;
  /** until when what lies there is fluid enough for it */
  readonly fluidUntilMin?: Minutes;
  /** of its thinnest pot when it begins */
  readonly firstStage?: Stage;
  /** of its thickest pot when it is last drawn on; of what it lies on when it begins, as that bears */
  readonly stage?: Stage;
  readonly belowStage?: Stage;
  /** how rough the border is that it leaves on that, mm either way */
  readonly blurMm?: Millimetres;
  readonly troubles: readonly Trouble[];
}

/** When something is begun: a wait once hands are free, and it is over at its start and end. */
export const beginMin = ({ act, startMin, waitMin }: TimedAct): Minutes =>
  act.does === 'wait' ? startMin - waitMin : startMin;

/** When everything is done, if it all goes as it is taken to go. */
export interface Timetable {
  readonly plan: PlanCourse;
  readonly acts: readonly TimedAct[];
  readonly totalMin: Minutes;
  readonly holds: boolean;
}

const finite = (x: number | undefined): number | undefined =>
  x !== undefined && Number.isFinite(x) ? x : undefined;

export const troublesOf = (bits: number): readonly Trouble[] =>
  (Object.keys(FAILS) as Trouble[]).filter((t) => (bits & FAILS[t]) !== 0);

const blurs = ({ carried }: CourseAct, below: Stage): Pick<TimedAct, 'blurMm'> =>
  carried?.meets ? { blurMm: blurOn(below, carried.meets) } : {};

/** The timetable of a course that was run. */
export function timetableOf(plan: PlanCourse, turns: Turns = {}): Timetable {
  const run = new Run(plan.course);
  const holds = run.go(turns);
  const acts = plan.course.acts.map((act, i): TimedAct => {
    const carried = finite(run.carriedFrom[i]);
    const until = act.window ? finite(run.pourableUntil[i]) : undefined;
    const fluid = finite(run.fluidUntil[i]);
    const first = act.window ? finite(run.thinnest[i]) : undefined;
    const stage = act.pots.length > 0 && act.window ? run.thickest[i] : undefined;
    const below = act.carried ? finite(run.below[i]) : undefined;
    return {
      place: i,
      act,
      about: plan.acts[i] ?? { of: [] },
      startMin: run.starts[i] ?? 0,
      endMin: run.ends[i] ?? 0,
      soonestMin: run.soonest[i] ?? 0,
      preparedMin: run.prepared[i] ?? 0,
      waitMin: run.waited[i] ?? 0,
      ...(carried === undefined ? {} : { carriedFromMin: Math.max(0, carried) }),
      ...(until === undefined ? {} : { pourableUntilMin: until }),
      ...(fluid === undefined ? {} : { fluidUntilMin: fluid }),
      ...(first === undefined ? {} : { firstStage: first }),
      ...(stage === undefined ? {} : { stage }),
      ...(below === undefined ? {} : { belowStage: below, ...blurs(act, below) }),
      troubles: troublesOf(run.fails[i] ?? 0),
    };
  });
  return { plan, acts, totalMin: acts.at(-1)?.endMin ?? 0, holds };
}

/** The timetable of a plan; undefined while nothing is known of its batter. */
export function planTimetable(
  plan: Plan,
  laid: Pick<LaidPlan, 'moulds' | 'recipes'>,
  day?: Day,
): Timetable | undefined {
  const course = courseOf(plan, laid, day);
  return course && timetableOf(course);
}
