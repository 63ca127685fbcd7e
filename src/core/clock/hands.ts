import type { Minutes } from '../units/quantity.ts';
import type { TimedAct, Timetable } from './timetable.ts';

/** A job that keeps one pair of hands busy. */
export interface Job {
  readonly from: Minutes;
  readonly to: Minutes;
  readonly timed: TimedAct;
}

/** Every job of a batch from its minute 0 on, in order; what is only waited for is none. */
export const jobsOf = ({ acts }: Timetable): readonly Job[] =>
  acts
    .filter((a) => a.act.does !== 'wait')
    .map((timed) => ({ from: timed.preparedMin, to: timed.endMin, timed }))
    .filter((job) => job.to > job.from);

/** From when to when hands have nothing to do between two jobs, where that is at least so long. */
export function freeOf(clock: Timetable, least: Minutes): readonly Omit<Job, 'timed'>[] {
  const jobs = jobsOf(clock);
  return jobs.flatMap(({ from }, i) => {
    const since = jobs[i - 1]?.to ?? 0;
    return from - since >= least ? [{ from: since, to: from }] : [];
  });
}
