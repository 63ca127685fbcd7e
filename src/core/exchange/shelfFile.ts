import type { Batch } from '../batch/batchSchema.ts';
import { BATCH_FORMAT } from '../batch/batchVersion.ts';
import type { Plan } from '../plan/planSchema.ts';
import { ARCHIVE_FORMAT, readArchive, type ArchiveRead } from './archiveFile.ts';
import { readBatchFile } from './batchFile.ts';
import { readPlanFile } from './planFile.ts';
import type { PlanRead } from './planValue.ts';

/**
 * What came out of a file that is let fall on the shelf: a plan, a batch, both where an older version wrote
 * one into the other, or everything that was kept.
 */
export type ShelfRead =
  | { readonly ok: true; readonly plan?: Plan; readonly batch?: Batch; readonly archive?: ArchiveRead }
  | Extract<PlanRead, { readonly ok: false }>;

/** Read the text of a plan file, a batch file or an archive. Never throws; every fault names its field. */
export function readShelfFile(text: string): ShelfRead {
  // an archive may be larger than any other file, and says what it is at its beginning
  if (text.slice(0, 400).includes(ARCHIVE_FORMAT)) {
    const archive = readArchive(text);
    return archive.ok ? { ok: true, archive: archive.value } : { ok: false, faults: [archive.fault] };
  }
  const plan = readPlanFile(text);
  if (plan.ok || plan.faults[0].code !== 'wrong-format' || !text.includes(BATCH_FORMAT)) return plan;
  const batch = readBatchFile(text);
  return batch.ok ? { ok: true, batch: batch.value } : { ok: false, faults: [batch.fault] };
}
