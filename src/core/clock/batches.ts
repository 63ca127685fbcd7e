import type { Minutes } from '../units/quantity.ts';
import type { Timetable } from './timetable.ts';

/** One more batch alike, made by the same hands. */
export interface NextBatch {
  /** its lye goes to its oils at this minute of the first one's clock; its minute 0 is when it has been blended */
  readonly beginMin: Minutes;
  readonly startMin: Minutes;
  readonly endMin: Minutes;
}

interface Busy {
  readonly from: Minutes;
  readonly to: Minutes;
}

/** To put the lye to the oils and blend them. An estimate. */
const BLEND_MIN: Minutes = 4;

/** Between two jobs of one pair of hands: gloves, a wiped bench. An estimate. */
const BREATH_MIN: Minutes = 0.2;

/** Closer than this is the same minute: what was moved to just behind another is behind it. */
const SAME_MIN: Minutes = 1e-6;

/** What keeps hands busy in a batch, from its blending on; waits are free. */
const busyIn = ({ acts }: Timetable): readonly Busy[] => [
  { from: 0 - BLEND_MIN, to: 0 },
  ...acts
    .filter((a) => a.endMin > a.preparedMin)
    .map((a) => ({ from: a.act.does === 'wait' ? a.endMin : a.preparedMin, to: a.endMin }))
    .filter((b) => b.to > b.from),
];

/** How much later a batch has to be for two jobs not to meet; 0: they do not. */
const shiftFor = (own: Busy, other: Busy): Minutes =>
  own.from < other.to + BREATH_MIN - SAME_MIN && own.to + BREATH_MIN - SAME_MIN > other.from
    ? other.to + BREATH_MIN - own.from
    : 0;

/**
 * When further batches alike can be made by the same hands, each as soon as it fits between what they do anyway: every batch keeps its own minutes, and no two jobs
 * meet. Found by moving the next batch to the end of whatever it meets, until it meets nothing: so no earlier minute fits.
 */
export function furtherBatches(clock: Timetable, count: number): readonly NextBatch[] {
  const own = busyIn(clock);
  const taken: Busy[] = own.filter((b) => b.from >= 0);
  const batches: NextBatch[] = [];
  let shift = BLEND_MIN;
  for (let k = 0; k < count; k += 1) {
    for (let later = 1; later > 0; shift += later) {
      const at = shift;
      later = Math.max(
        0,
        ...own.flatMap((b) => {
          const moved = { from: b.from + at, to: b.to + at };
          return taken.map((t) => shiftFor(moved, t));
        }),
      );
    }
    for (const b of own) taken.push({ from: b.from + shift, to: b.to + shift });
    batches.push({ beginMin: shift - BLEND_MIN, startMin: shift, endMin: shift + clock.totalMin });
  }
  return batches;
}
