import { createEvents, type DateArray, type EventAttributes } from 'ics';
import type { Afterwards } from '../clock/afterwards.ts';
import type { Plan } from '../plan/planSchema.ts';
import { fail, ok, type Result } from '../result/result.ts';
import type { Minutes } from '../units/quantity.ts';

/** A local time without a zone: as a kitchen clock has it. */
export interface LocalTime {
  readonly year: number;
  /** 1 to 12 */
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
}

const HOUR_MS = 3_600_000;

/** A time so many hours later; days are 24 h, as clocks on a wall go. */
export function later(t: LocalTime, hours: number): LocalTime {
  const at = new Date(Date.UTC(t.year, t.month - 1, t.day, t.hour, t.minute) + hours * HOUR_MS);
  return {
    year: at.getUTCFullYear(),
    month: at.getUTCMonth() + 1,
    day: at.getUTCDate(),
    hour: at.getUTCHours(),
    minute: at.getUTCMinutes(),
  };
}

const arrayOf = (t: LocalTime): DateArray => [t.year, t.month, t.day, t.hour, t.minute];

/** A reminder an hour before, and one five minutes before. */
const alarms = (description: string): NonNullable<EventAttributes['alarms']> => [
  { action: 'display', description, trigger: { hours: 1, before: true } },
  { action: 'display', description, trigger: { minutes: 5, before: true } },
];

const HOURS_A_WEEK = 168;

/**
 * What follows a pour as a calendar file (iCalendar, RFC 5545, from memory; written by the `ics` package):
 * the pour, when to unmould, when to cut, and the day it is cured, with reminders. Times are local, without a
 * zone.
 */
export function calendarOf(
  plan: Pick<Plan, 'id' | 'name'>,
  start: LocalTime,
  totalMin: Minutes,
  { unmouldH, cutH, cureWeeks }: Afterwards,
): Result<string> {
  const poured = later(start, totalMin / 60);
  const event = (
    key: string,
    title: string,
    from: LocalTime,
    to: LocalTime,
    description: string,
  ): EventAttributes => ({
    uid: `${plan.id}-${key}-${from.year}${from.month}${from.day}${from.hour}${from.minute}@drip-line`,
    productId: 'drip-line',
    title: `${title}: ${plan.name}`,
    description,
    start: arrayOf(from),
    end: arrayOf(to),
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local',
    alarms: alarms(`${title}: ${plan.name}`),
  });
  const cut = later(poured, cutH.from);
  const cured = later(cut, cureWeeks.from * HOURS_A_WEEK);
  const { error, value } = createEvents([
    event('pour', 'Pour', start, poured, 'Goggles, gloves, sleeves. Lye into water.'),
    event(
      'unmould',
      'Unmould',
      later(poured, unmouldH.from),
      later(poured, unmouldH.to),
      'When it is firm enough not to dent. Gloves: it is caustic still. An estimate.',
    ),
    event('cut', 'Cut', cut, later(poured, cutH.to), 'Sooner it drags, later it cracks. An estimate.'),
    event(
      'cured',
      'Cured',
      cured,
      later(cured, 1),
      `From ${cureWeeks.from} to ${cureWeeks.to} weeks after the cut. An estimate: weigh a bar.`,
    ),
  ]);
  return error || typeof value !== 'string'
    ? fail('out-of-range', `No calendar can be made of these times: ${error?.message ?? 'nothing was made'}`)
    : ok(value);
}
