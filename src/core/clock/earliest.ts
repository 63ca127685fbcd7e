import type { Plan } from '../plan/planSchema.ts';
import { formatClock, formatMinutes } from '../units/format.ts';
import type { Minutes } from '../units/quantity.ts';
import { lowerFirst } from '../units/words.ts';
import type { TimedAct, Timetable } from './timetable.ts';
import { actName } from './words.ts';

/** The earliest minute that hands could begin something at, whatever it lies on; and what keeps it. */
export interface Earliest {
  readonly min: Minutes;
  /** "because ..." */
  readonly because: string;
}

/** Making ready for less than this is not worth telling. */
const TOLD_MIN: Minutes = 0.05;

export function earliestOf(plan: Plan, { acts }: Timetable, { place, soonestMin }: TimedAct): Earliest {
  const before = acts[place - 1];
  const free = before?.endMin ?? 0;
  const makingReady = soonestMin - free;
  const busy = before
    ? `hands are busy with “${lowerFirst(actName(plan, before))}” until ${formatClock(free)}`
    : '';
  const ready = makingReady < TOLD_MIN ? '' : `its jug takes ${formatMinutes(makingReady)} to make ready`;
  const reasons = [busy, ready].filter((r) => r !== '');
  return {
    min: soonestMin,
    because: `because ${reasons.length > 0 ? reasons.join(', and ') : 'the clock begins then'}`,
  };
}
