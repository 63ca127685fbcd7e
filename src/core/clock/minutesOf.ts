import type { Recipe } from '../batter/recipe.ts';
import type { ActId, Day, DayAct } from '../day/act.ts';
import { clockStart } from '../day/clockStart.ts';
import { habitsOf } from '../plan/habits.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Minutes } from '../units/quantity.ts';
import { afterwards } from './afterwards.ts';
import { beginMin, type TimedAct, type Timetable } from './timetable.ts';

/**
 * When an act of the day is done, on the clock of the pour; and what of the clock it is, where it is timed by
 * itself.
 */
export interface ActMinute {
  readonly startMin: Minutes;
  readonly timed?: TimedAct;
}

/**
 * The jobs of a clock by the acts of the day that they are, each with its part of a job that is several acts.
 */
function jobs({ acts }: Timetable): ReadonlyMap<ActId, Required<ActMinute>> {
  const of = new Map<ActId, Required<ActMinute>>();
  for (const timed of acts)
    timed.about.of.forEach((id, i, all) => {
      const startMin = beginMin(timed);
      const part = (i / all.length) * (timed.endMin - startMin);
      if (!of.has(id)) of.set(id, { startMin: startMin + part, timed });
    });
  return of;
}

/**
 * What one of the day's acts takes where it is done right before another one, as far as that is reckoned by
 * itself.
 */
const takes = (act: DayAct, makeMin: Minutes): Minutes => (act.does === 'combine' && act.late ? makeMin : 0);

/** Acts that are done right before a job, one after another, and no later than that begins. */
function leadingTo(
  before: readonly DayAct[],
  job: { readonly from: Minutes; readonly to: Minutes },
  makeMin: Minutes,
): readonly (readonly [ActId, ActMinute])[] {
  let at = job.from;
  return before.map((act) => {
    const startMin = Math.min(job.to, at);
    at += takes(act, makeMin);
    return [act.id, { startMin }] as const;
  });
}

/**
 * The minute of every act from minute 0 of the clock on. What has no minutes of its own is done right before
 * the next act that has; what comes after the last, once that is done; what waits until the soap is firm,
 * once it is. So in the order of the day they never go back.
 */
export function minutesOf(
  { plan, day, recipe }: { readonly plan: Plan; readonly day: Day; readonly recipe: Recipe | undefined },
  clock: Timetable,
): ReadonlyMap<ActId, ActMinute> {
  const own = jobs(clock);
  const { makeMin } = habitsOf(plan.clock);
  const minutes = new Map<ActId, ActMinute>();
  const firm = recipe && afterwards(plan, recipe);
  let waiting: DayAct[] = [];
  for (const act of day.slice(clockStart(day))) {
    const job = own.get(act.id);
    if (act.does === 'unmould' || act.does === 'cut') {
      const hours = act.does === 'unmould' ? firm?.unmouldH.from : firm?.cutH.from;
      if (hours !== undefined) minutes.set(act.id, { startMin: clock.totalMin + hours * 60 });
    } else if (job) {
      const from = Math.min(job.startMin, Math.max(0, job.timed.preparedMin));
      for (const [id, at] of leadingTo(waiting, { from, to: job.startMin }, makeMin)) minutes.set(id, at);
      waiting = [];
      minutes.set(act.id, job);
    } else waiting.push(act);
  }
  for (const { id } of waiting) minutes.set(id, { startMin: clock.totalMin });
  return minutes;
}
