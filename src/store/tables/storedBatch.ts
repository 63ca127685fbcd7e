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

/** Of a plan's batches the one that is going on: what is written down is written there. */
export const goingOn = (stored: readonly StoredBatch[]): Batch | undefined =>
  stored
    .flatMap((s) => readStoredBatch(s) ?? [])
    .filter((b) => !isOver(b))
    .toSorted((a, b) => b.started.utcMs - a.started.utcMs)[0];
