import * as v from 'valibot';
import { batchSchema, type Batch } from '../batch/batchSchema.ts';
import { BATCH_FORMAT, BATCH_VERSION } from '../batch/batchVersion.ts';
import { isKnown } from '../batch/eventSchema.ts';
import { checkPlan } from '../plan/checkPlan.ts';
import type { Plan } from '../plan/planSchema.ts';
import { PLAN_VERSION } from '../plan/planVersion.ts';
import { fail, ok, type Result } from '../result/result.ts';
import { isRecord } from '../validate/isRecord.ts';
import { readHead } from './head.ts';
import { migratePlan } from './migrate.ts';
import { faultOf } from './schemaFaults.ts';
import { fileStem } from './writePlan.ts';

/**
 * What holds a plan of some version, holding it as this version writes plans. What is at fault in it stays
 * so.
 */
function broughtUp(holder: unknown): unknown {
  if (!isRecord(holder)) return holder;
  const { planVersion: of, plan } = holder;
  return isRecord(plan) && Number.isInteger(of) && Number(of) >= 1 && Number(of) < PLAN_VERSION
    ? { ...holder, planVersion: PLAN_VERSION, plan: migratePlan(plan, Number(of)) }
    : holder;
}

/**
 * Check a value that claims to be a batch; the fault names its field, after `within`. Plans of older versions
 * in it are brought up to date.
 */
export function readBatchValue(value: unknown, within = ''): Result<Batch> {
  const body = broughtUp(value);
  const events = isRecord(body) && Array.isArray(body['events']) ? body['events'].map(broughtUp) : undefined;
  const parsed = v.safeParse(batchSchema, events ? { ...(body as object), events } : body);
  if (!parsed.success) {
    const { code, message, at } = faultOf(parsed.issues[0]);
    return fail(code, message, within + (at ?? ''));
  }
  const batch = parsed.output;
  const plans: readonly (readonly [string, Plan])[] = [
    ['', batch.plan],
    ...batch.events.flatMap((e, i): [string, Plan][] =>
      isKnown(e) && e.does === 'amended' ? [[`events.${i}.`, e.plan]] : [],
    ),
  ];
  for (const [holder, plan] of plans) {
    const [fault] = checkPlan(plan);
    if (fault) return fail(fault.code, fault.message, `${within}${holder}plan.${fault.at ?? ''}`);
  }
  return ok(batch);
}

/** Read the text of a `.dripline-batch.json` file. Never throws; the fault names the field. */
export function readBatchFile(text: string): Result<Batch> {
  const head = readHead(text, 'batch', { format: BATCH_FORMAT, version: BATCH_VERSION });
  return head.ok ? readBatchValue(head.value.body) : head;
}

export const writeBatchFile = (batch: Batch): string =>
  `${JSON.stringify({ format: BATCH_FORMAT, version: BATCH_VERSION, ...batch }, null, 2)}\n`;

export const batchFileName = (batch: Batch): string => {
  const day = new Date(batch.started.utcMs).toISOString().slice(0, 10);
  return `${fileStem(batch.name, 'batch')}-${day}.dripline-batch.json`;
};
