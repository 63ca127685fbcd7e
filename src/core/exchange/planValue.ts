import * as v from 'valibot';
import { checkPlan } from '../plan/checkPlan.ts';
import { planSchema, type Plan } from '../plan/planSchema.ts';
import type { Fault } from '../result/result.ts';
import { faultOf } from './schemaFaults.ts';

export type PlanRead =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly faults: readonly [Fault, ...Fault[]] };

/**
 * Check a value that claims to be a plan of this version (without the file's head). Every fault names its
 * field.
 */
export function readPlanValue(value: unknown): PlanRead {
  const parsed = v.safeParse(planSchema, value);
  if (!parsed.success) {
    const [first, ...others] = parsed.issues;
    return { ok: false, faults: [faultOf(first), ...others.map(faultOf)] };
  }
  const [first, ...others] = checkPlan(parsed.output);
  return first ? { ok: false, faults: [first, ...others] } : { ok: true, plan: parsed.output };
}
