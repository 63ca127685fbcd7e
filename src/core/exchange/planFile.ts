import type { Batch } from '../batch/batchSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { PLAN_FORMAT, PLAN_VERSION } from '../plan/planVersion.ts';
import { readBatchValue } from './batchFile.ts';
import { readHead } from './head.ts';
import { foundIn } from './migrate.ts';
import { readPlanValue, type PlanRead } from './planValue.ts';

/**
 * What came out of a plan file: up to version 7 what was really done is written in it, and is a batch by
 * itself.
 */
export type PlanFileRead =
  { readonly ok: true; readonly plan: Plan; readonly batch?: Batch } | Extract<PlanRead, { ok: false }>;

/**
 * Read the text of a `.dripline.json` file. Never throws; a file it will not take comes back as faults,
 * each with the dotted path of the field and a message with the offending value.
 */
export function readPlanFile(text: string): PlanFileRead {
  const head = readHead(text, 'plan', { format: PLAN_FORMAT, version: PLAN_VERSION });
  if (!head.ok) return { ok: false, faults: [head.fault] };
  const found = foundIn(head.value.body, head.value.version);
  const plan = readPlanValue(found.plan);
  if (!plan.ok || !found.batch) return plan;
  const batch = readBatchValue(found.batch, 'batch.');
  return batch.ok ? { ...plan, batch: batch.value } : { ok: false, faults: [batch.fault] };
}
