import type { Batch } from '../../core/batch/batchSchema.ts';
import { isOver } from '../../core/batch/book.ts';
import type { Query } from '../../store/ask.ts';
import { batchesSince, type StoredBatch } from '../../store/tables/batches.ts';
import { readBatches } from '../../store/tables/storedBatch.ts';

/** One that was begun longer ago is of no day that is going on, ms. */
const LONGEST_MS = 3 * 24 * 3_600_000;

/** Batches of these days. */
export const ofTheseDays: Query<readonly StoredBatch[]> = (db) => batchesSince(db, Date.now() - LONGEST_MS);

/** Those of them that are not ended. */
export const goingOn = (stored: readonly StoredBatch[]): readonly Batch[] =>
  readBatches(stored).batches.filter((b) => !isOver(b));
