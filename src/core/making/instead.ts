import type { Computed } from '../computed/compute.ts';
import type { Act } from '../procedure/act.ts';
import { formatMinutes } from '../units/format.ts';
import type { Minutes } from '../units/quantity.ts';
import { expectedNow } from './expected.ts';
import { liveTimetable, type Went } from './live.ts';

/** A shift shorter than this is none. */
const TOLD_MIN: Minutes = 0.2;

/** What an act that the clock does not time by itself takes. A judgement. */
const USUAL_MIN: Minutes = 0.5;

/** What it changes when another act is done now, before those that stand before it. */
export function insteadOf(computed: Computed, went: Went, now: Minutes, act: Act): string {
  const as = liveTimetable(computed, went, now);
  if (!as) return '';
  const own = as.acts.find((t) => t.about.of.includes(act.id));
  const takes = own ? own.endMin - own.startMin : USUAL_MIN;
  const then = { ...went, done: new Map([...went.done, [act.id, now + takes] as const]) };
  const otherwise = liveTimetable(computed, then, now + takes);
  if (!otherwise) return '';
  const later = otherwise.totalMin - as.totalMin;
  const shift =
    later > TOLD_MIN
      ? `The day ends ${formatMinutes(later)} later.`
      : later < 0 - TOLD_MIN
        ? `The day ends ${formatMinutes(0 - later)} sooner.`
        : 'The day ends when it would have.';
  const before = new Set(expectedNow(computed, as, went.done).map((e) => e.says));
  const breaks = expectedNow(computed, otherwise, then.done).filter((e) => !before.has(e.says));
  return [shift, ...breaks.map((e) => e.says)].join(' ');
}
