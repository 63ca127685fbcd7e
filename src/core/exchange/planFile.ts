import * as v from 'valibot';
import { checkPlan } from '../plan/checkPlan.ts';
import { planSchema, type Plan } from '../plan/planSchema.ts';
import type { Fault } from '../result/result.ts';
import { readHead } from './head.ts';
import { migratePlan } from './migrate.ts';
import { PLAN_FORMAT, PLAN_VERSION } from './planVersion.ts';
import { faultOf } from './schemaFaults.ts';

export type PlanRead =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly faults: readonly [Fault, ...Fault[]] };

/** Check a value that claims to be a plan (without the file's head). Every fault names its field. */
export function readPlanValue(value: unknown): PlanRead {
  const parsed = v.safeParse(planSchema, value);
  if (!parsed.success) {
    const [first, ...others] = parsed.issues;
    return { ok: false, faults: [faultOf(first), ...others.map(faultOf)] };
  }
  const [first, ...others] = checkPlan(parsed.output);
  return first ? { ok: false, faults: [first, ...others] } : { ok: true, plan: parsed.output };
}

/**
 * Read the text of a `.dripline.json` file. Never throws; a file it will not take comes back as faults,
 * each with the dotted path of the field and a message with the offending value.
 */
export function readPlanFile(text: string): PlanRead {
  const head = readHead(text, 'plan', { format: PLAN_FORMAT, version: PLAN_VERSION });
  return head.ok
    ? readPlanValue(migratePlan(head.value.body, head.value.version))
    : { ok: false, faults: [head.fault] };
}
