import type { Minutes } from '../units/quantity.ts';
import { jobsOf } from './hands.ts';
import type { Timetable } from './timetable.ts';

/** One more batch, made by the same hands. */
export interface NextBatch {
  /** which of those that were asked for, by its place */
  readonly place: number;
  /**
   * its lye goes to its oils at this minute of the first one's clock; its minute 0 is when it has been
   * blended
   */
  readonly beginMin: Minutes;
  readonly startMin: Minutes;
  readonly endMin: Minutes;
}

interface Busy {
  readonly from: Minutes;
  readonly to: Minutes;
}

/** To put the lye to the oils and blend them. An estimate. */
export const BLEND_MIN: Minutes = 4;

/** Between two jobs of one pair of hands: gloves, a wiped bench. An estimate. */
const BREATH_MIN: Minutes = 0.2;

/** Closer than this is the same minute: what was moved to just behind another is behind it. */
const SAME_MIN: Minutes = 1e-6;

/** What keeps hands busy in a batch, from its blending on; waits are free. */
const busyIn = (clock: Timetable): readonly Busy[] => [{ from: 0 - BLEND_MIN, to: 0 }, ...jobsOf(clock)];

/** How much later a batch has to be for two jobs not to meet; 0: they do not. */
const shiftFor = (own: Busy, other: Busy): Minutes =>
  own.from < other.to + BREATH_MIN - SAME_MIN && own.to + BREATH_MIN - SAME_MIN > other.from
    ? other.to + BREATH_MIN - own.from
    : 0;

/**
 * The earliest that a batch can begin between what hands do anyway: moved to the end of whatever it meets,
 * until it meets nothing.
 */
function earliest(own: readonly Busy[], taken: readonly Busy[], from: Minutes): Minutes {
  let shift = from;
  for (let later = 1; later > 0; shift += later) {
    const at = shift;
    later = Math.max(
      0,
      ...own.flatMap((b) => taken.map((t) => shiftFor({ from: b.from + at, to: b.to + at }, t))),
    );
  }
  return shift;
}

/** Batches one after another, each as soon as it fits between what is there. */
function inOrder(
  first: Timetable,
  more: readonly { readonly clock: Timetable; readonly place: number }[],
): readonly NextBatch[] {
  const taken: Busy[] = [...jobsOf(first)];
  return more.map(({ clock, place }) => {
    const own = busyIn(clock);
    const startMin = earliest(own, taken, BLEND_MIN);
    for (const b of own) taken.push({ from: b.from + startMin, to: b.to + startMin });
    return { place, beginMin: startMin - BLEND_MIN, startMin, endMin: startMin + clock.totalMin };
  });
}

function* orders<T>(of: readonly T[]): Generator<readonly T[]> {
  if (of.length < 2) yield of;
  else for (const [i, x] of of.entries()) for (const rest of orders(of.toSpliced(i, 1))) yield [x, ...rest];
}

export const lastOf = (first: Timetable, batches: readonly Pick<NextBatch, 'endMin'>[]): Minutes =>
  Math.max(first.totalMin, ...batches.map((b) => b.endMin));

/**
 * When further batches can be made by the same hands, alike or not: every batch keeps its own minutes, and no
 * two jobs meet. The first is as it is; the others come in the order in which all is over soonest, each as
 * early as it fits.
 */
export function woven(first: Timetable, others: readonly Timetable[]): readonly NextBatch[] {
  const asked = others.map((clock, place) => ({ clock, place }));
  let best = inOrder(first, asked);
  const alike = new Set(others).size < 2;
  if (!alike)
    for (const order of orders(asked)) {
      const tried = inOrder(first, order);
      if (lastOf(first, tried) < lastOf(first, best) - SAME_MIN) best = tried;
    }
  return best;
}
