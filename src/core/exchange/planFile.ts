import * as v from 'valibot';
import { checkPlan } from '../plan/checkPlan.ts';
import { planSchema, type Plan } from '../plan/planSchema.ts';
import type { Fault } from '../result/result.ts';
import { readHead } from './head.ts';
import { faultOf } from './schemaFaults.ts';

export const PLAN_FORMAT = 'drip-line/plan';
export const PLAN_VERSION = 1;

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
  const body = readHead(text, 'plan', { format: PLAN_FORMAT, version: PLAN_VERSION });
  return body.ok ? readPlanValue(body.value) : { ok: false, faults: [body.fault] };
}

/** The text of a plan file. Reading it back gives the same plan. */
export const writePlanFile = (plan: Plan): string =>
  `${JSON.stringify({ format: PLAN_FORMAT, version: PLAN_VERSION, ...plan }, null, 2)}\n`;

/** A name as the stem of a file name: its letters and digits, with hyphens. */
export const fileStem = (name: string, otherwise: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .slice(0, 60) || otherwise;

export const planFileName = (plan: Plan): string => `${fileStem(plan.name, 'plan')}.dripline.json`;
