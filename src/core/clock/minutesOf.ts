import type { ActId, Day } from '../day/act.ts';
import { clockStart } from '../day/clockStart.ts';
import type { Minutes } from '../units/quantity.ts';
import type { TimedAct, Timetable } from './timetable.ts';

/** When an act of the day is done, on the clock of the pour; and what of the clock it is, where it is timed by itself. */
export interface ActMinute {
  readonly startMin: Minutes;
  readonly timed?: TimedAct;
}

/** The jobs of a clock by the acts of the day that they are, each with its part of a job that is several acts. */
function jobs({ acts }: Timetable): ReadonlyMap<ActId, Required<ActMinute>> {
  const of = new Map<ActId, Required<ActMinute>>();
  for (const timed of acts)
    timed.about.of.forEach((id, i, all) => {
      const part = (i / all.length) * (timed.endMin - timed.startMin);
      if (!of.has(id)) of.set(id, { startMin: timed.startMin + part, timed });
    });
  return of;
}

/**
 * The minute of every act from minute 0 of the clock to the end of the pour. What has no minutes of its own is done right before the next
 * act that has; what comes after the last, once that is done. So in the order of the day they never go back.
 */
export function minutesOf(day: Day, clock: Timetable): ReadonlyMap<ActId, ActMinute> {
  const own = jobs(clock);
  const minutes = new Map<ActId, ActMinute>();
  let next = clock.totalMin;
  const from = clockStart(day);
  const after = day.findIndex((a) => a.does === 'unmould');
  for (const { id } of day.slice(from, after < 0 ? day.length : after).toReversed()) {
    const job = own.get(id);
    minutes.set(id, job ?? { startMin: next });
    if (job) next = Math.min(job.startMin, Math.max(job.timed.preparedMin, 0));
  }
  return minutes;
}
