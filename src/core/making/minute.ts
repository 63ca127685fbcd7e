import type { Batch } from '../batch/batchSchema.ts';
import { inOrder } from '../batch/book.ts';
import { elapsed, type Elapsed } from '../batch/elapsed.ts';
import type { When } from '../batch/when.ts';
import type { Minutes } from '../units/quantity.ts';

const MS_PER_MIN = 60_000;

const minutes = ({ ms }: Elapsed): Minutes => ms / MS_PER_MIN;

/** How long ago something of a batch was written, as of some later moments, the last of them last. */
export function sinceThen(batch: Batch, then: When, after: readonly When[]): Elapsed {
  const moments = inOrder(batch).map((e) => e.at);
  return elapsed([...moments.slice(Math.max(0, moments.indexOf(then))), ...after]);
}

/**
 * The minute of everything that was written of a batch since it was divided, by the running clocks; what came
 * before is at minute 0. Undefined until it is divided.
 */
export function minutesOfEvents(batch: Batch, zero: When | undefined): ((at: When) => Minutes) | undefined {
  if (!zero) return undefined;
  const moments = inOrder(batch).map((e) => e.at);
  const from = moments.indexOf(zero);
  const known = new Map<When, Minutes>();
  return (at) => {
    const place = moments.indexOf(at);
    if (place <= from) return 0;
    const min = known.get(at) ?? minutes(elapsed(moments.slice(from, place + 1)));
    known.set(at, min);
    return min;
  };
}
