import type { Timing } from '../procedure/act.ts';
import type { Minutes } from '../units/quantity.ts';

/** A longer window is none to watch. */
const LONG_MIN: Minutes = 240;

/** Whether something can be done now, as far as the clock knows; minutes since the batter was divided. */
export type Verdict =
  /** what it comes on, or its pots, are too thin until then */
  | { readonly is: 'wait'; readonly untilMin: Minutes }
  /** and it stays so until then; absent: as long as matters */
  | { readonly is: 'go'; readonly untilMin?: Minutes }
  /** its pots, or what lies there, are too thick since then */
  | { readonly is: 'late'; readonly sinceMin: Minutes };

/** The window of something at a minute. Undefined: it has none, and is done when hands come to it. */
export function verdictOf(
  { untilMin, notBeforeMin, carriedFromMin, pourableUntilMin, fluidUntilMin }: Timing,
  now: Minutes,
): Verdict | undefined {
  const ends = Math.min(pourableUntilMin ?? Infinity, fluidUntilMin ?? Infinity);
  const from = untilMin ?? notBeforeMin ?? carriedFromMin ?? -Infinity;
  if (from > now) return { is: 'wait', untilMin: from };
  if (ends < now) return { is: 'late', sinceMin: ends };
  if (ends - now < LONG_MIN) return { is: 'go', untilMin: ends };
  return from === -Infinity ? undefined : { is: 'go' };
}
