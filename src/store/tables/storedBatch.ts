import type { Batch } from '../../core/batch/batchSchema.ts';
import { BATCH_VERSION } from '../../core/batch/batchVersion.ts';
import { inOrder, isOver } from '../../core/batch/book.ts';
import { readBatchValue } from '../../core/exchange/batchFile.ts';
import type { StoredBatch } from './batches.ts';

/**
 * A stored batch, checked, brought up to date, and its events in order; undefined: it is damaged, or of a
 * newer version.
 */
export function readStoredBatch({ version, value }: StoredBatch): Batch | undefined {
  if (!(version <= BATCH_VERSION)) return undefined;
  const read = readBatchValue(value);
  return read.ok ? { ...read.value, events: [...inOrder(read.value)] } : undefined;
}

/** Stored batches, read once: those that can be, the one begun last first, and those that cannot. */
export function readBatches(stored: readonly StoredBatch[]): {
  readonly batches: readonly Batch[];
  readonly damaged: readonly StoredBatch[];
} {
  const read = stored.map((of) => ({ of, batch: readStoredBatch(of) }));
  return {
    batches: read.flatMap((r) => r.batch ?? []).toSorted((a, b) => b.started.utcMs - a.started.utcMs),
    damaged: read.flatMap((r) => (r.batch ? [] : [r.of])),
  };
}

/** Of a plan's batches, newest first, the one that is going on: what is written down is written there. */
export const unfinished = (batches: readonly Batch[]): Batch | undefined => batches.find((b) => !isOver(b));

/** The same, of batches as they are stored. */
export const goingOn = (stored: readonly StoredBatch[]): Batch | undefined =>
  unfinished(readBatches(stored).batches);
