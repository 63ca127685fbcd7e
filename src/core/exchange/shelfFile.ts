import type { Batch } from '../batch/batchSchema.ts';
import { BATCH_FORMAT } from '../batch/batchVersion.ts';
import type { Plan } from '../plan/planSchema.ts';
import { readBatchFile } from './batchFile.ts';
import { readPlanFile } from './planFile.ts';
import type { PlanRead } from './planValue.ts';

/**
 * What came out of a file that is let fall on the shelf: a plan, a batch, or both where an older version
 * wrote one into the other.
 */
export type ShelfRead =
  | { readonly ok: true; readonly plan?: Plan; readonly batch?: Batch }
  | Extract<PlanRead, { readonly ok: false }>;

/** Read the text of a plan file or of a batch file. Never throws; every fault names its field. */
export function readShelfFile(text: string): ShelfRead {
  const plan = readPlanFile(text);
  if (plan.ok || plan.faults[0].code !== 'wrong-format' || !text.includes(BATCH_FORMAT)) return plan;
  const batch = readBatchFile(text);
  return batch.ok ? { ok: true, batch: batch.value } : { ok: false, faults: [batch.fault] };
}
