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

/** Nobody is woken: reminders come between these hours of the day. */
const WAKES = 8;
const SLEEPS = 21;

/** How long before a thing begins its reminders come, min. */
const BEFORE_MIN = [60, 5] as const;

const minutesBetween = (a: LocalTime, b: LocalTime): Minutes =>
  (Date.UTC(b.year, b.month - 1, b.day, b.hour, b.minute) -
    Date.UTC(a.year, a.month - 1, a.day, a.hour, a.minute)) /
  60_000;

/**
 * The waking minute nearest to one: in the morning where that is not too late yet, else the evening before.
 */
function waking(at: LocalTime, last: LocalTime): LocalTime {
  if (at.hour >= WAKES && at.hour < SLEEPS) return at;
  const midnight = later({ ...at, hour: 0, minute: 0 }, at.hour >= SLEEPS ? 24 : 0);
  const morning = later(midnight, WAKES);
  return minutesBetween(morning, last) >= 0 ? morning : later(midnight, SLEEPS - 24);
}

/** Reminders of what is to be done between two times: an hour and five minutes before it begins, by day. */
function alarms(description: string, from: LocalTime, to: LocalTime): NonNullable<EventAttributes['alarms']> {
  const at = BEFORE_MIN.map((before) =>
    Math.round(minutesBetween(waking(later(from, -before / 60), to), from)),
  );
  return [...new Set(at)].map((minutes) => ({
    action: 'display',
    description,
    trigger: { minutes: Math.abs(minutes), before: minutes >= 0 },
  }));
}

const HOURS_A_WEEK = 168;

/**
 * Weeks after the cut at which a bar is weighed: the first, the second, and every second until it is cured.
 */
const weighings = (cured: number): readonly number[] => [1, 2, 4, 6, 8, 10].filter((week) => week < cured);

/**
 * What follows a pour as a calendar file (iCalendar, RFC 5545, from memory; written by the `ics` package):
 * the pour, when to unmould, when to cut, weighings while it cures, and the day it is cured, with reminders
 * by day. Times are local, without a zone. Taken in again after the pour was moved, it takes the place of
 * what it was: `sequence` is higher each time.
 */
export function calendarOf(
  plan: Pick<Plan, 'id' | 'name'>,
  start: LocalTime,
  totalMin: Minutes,
  { unmouldH, cutH, cureWeeks }: Afterwards,
  sequence: number,
): Result<string> {
  const poured = later(start, totalMin / 60);
  const event = (
    key: string,
    title: string,
    from: LocalTime,
    to: LocalTime,
    description: string,
  ): EventAttributes => ({
    uid: `${plan.id}-${key}@drip-line`,
    sequence,
    productId: 'drip-line',
    title: `${title}: ${plan.name}`,
    description,
    start: arrayOf(from),
    end: arrayOf(to),
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local',
    alarms: alarms(`${title}: ${plan.name}`, from, to),
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
    ...weighings(cureWeeks.from).map((week) => {
      const at = later(cut, week * HOURS_A_WEEK);
      return event(
        `weigh-${week}`,
        'Weigh a bar',
        at,
        later(at, 12),
        `Week ${week} of the cure, the same bar each time. It is done when it hardly gets lighter.`,
      );
    }),
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
