import type { Batch } from './batchSchema.ts';
import type { BatchEvent } from './eventSchema.ts';

const byText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * What of two events counts as earlier: the one with the smaller counter (Lamport, Time, clocks, and the
 * ordering of events in a distributed system, 1978; from memory), else by device and its own count. No wall
 * clock is asked.
 */
const earlier = (a: BatchEvent, b: BatchEvent): number =>
  a.counter - b.counter || byText(a.device, b.device) || a.seq - b.seq || byText(a.id, b.id);

/** The events of a batch in their order, whatever order they came in. */
export const inOrder = ({ events }: Pick<Batch, 'events'>): readonly BatchEvent[] => events.toSorted(earlier);

/**
 * Two copies of one batch, put together: every event of either, once. The order in which copies are put
 * together is none, and a copy that is put in again changes nothing. What else a batch says is said when it
 * begins; of two copies that differ there, the one that began first.
 */
export function merged(one: Batch, other: Batch): Batch {
  const known = new Set(one.events.map((e) => e.id));
  const more = other.events.filter((e) => !known.has(e.id));
  const photos = other.photos.filter((p) => !one.photos.includes(p));
  const first = startsFirst(one, other) ? one : other;
  if (first === one && more.length === 0 && photos.length === 0) return one;
  return {
    ...first,
    events: [...one.events, ...more].toSorted(earlier),
    photos: [...one.photos, ...photos].toSorted(byText),
  };
}

const startsFirst = (one: Batch, other: Batch): boolean =>
  (one.started.utcMs - other.started.utcMs || byText(JSON.stringify(one.plan), JSON.stringify(other.plan))) <=
  0;

/** Where a device's next event stands: behind all that the batch has. */
export const nextPlace = (
  { events }: Pick<Batch, 'events'>,
  device: string,
): Pick<BatchEvent, 'device' | 'seq' | 'counter'> => ({
  device,
  seq: events.reduce((most, e) => (e.device === device ? Math.max(most, e.seq) : most), 0) + 1,
  counter: events.reduce((most, e) => Math.max(most, e.counter), 0) + 1,
});

/** It is finished, or was thrown away. */
export const isOver = ({ events }: Pick<Batch, 'events'>): boolean =>
  events.some((e) => e.does === 'finished' || e.does === 'thrown-away');
