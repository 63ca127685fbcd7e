import * as v from 'valibot';
import { checkPlan } from '../plan/checkPlan.ts';
import { planSchema, type Plan } from '../plan/planSchema.ts';
import type { Fault } from '../result/result.ts';

export const PLAN_FORMAT = 'drip-line/plan';
export const PLAN_VERSION = 1;

/** Larger files are not plans: a full plan of 200 steps is about 60 kB. */
export const MOST_CHARACTERS = 2_000_000;

export type PlanRead =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly faults: readonly [Fault, ...Fault[]] };

const refuse = (code: string, message: string, at: string): PlanRead => ({
  ok: false,
  faults: [{ code, message, at }],
});

const pathOf = (issue: v.BaseIssue<unknown>): string => issue.path?.map((p) => String(p.key)).join('.') ?? '';

const shown = (value: unknown): string => {
  const text = JSON.stringify(value) as string | undefined;
  return text === undefined ? 'nothing' : text.length > 40 ? `${text.slice(0, 37)}...` : text;
};

const faultOf = (issue: v.BaseIssue<unknown>): Fault => ({
  code: `bad-${issue.type.replaceAll('_', '-')}`,
  message:
    issue.type === 'strict_object' && issue.expected === 'never'
      ? `"${pathOf(issue).split('.').at(-1) ?? ''}" is not a field of a plan`
      : issue.expected !== null && issue.message.startsWith('Invalid')
        ? `${issue.expected} is wanted, not ${shown(issue.input)}`
        : issue.message,
  at: pathOf(issue) || 'file',
});

/** Check a value that claims to be a plan (without the file's head). Every fault names its field. */
export function readPlanValue(value: unknown): PlanRead {
  const parsed = v.safeParse(planSchema, value);
  if (!parsed.success) {
    const [first, ...others] = parsed.issues.map(faultOf);
    return first ? { ok: false, faults: [first, ...others] } : refuse('bad-plan', 'not a plan', 'file');
  }
  const [first, ...others] = checkPlan(parsed.output);
  return first ? { ok: false, faults: [first, ...others] } : { ok: true, plan: parsed.output };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Read the text of a `.dripline.json` file. Never throws; a file it will not take comes back as faults,
 * each with the dotted path of the field and a message with the offending value.
 */
export function readPlanFile(text: string): PlanRead {
  if (text.length > MOST_CHARACTERS)
    return refuse('too-large', `${text.length} characters is more than a plan file has`, 'file');
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refuse(
      'not-json',
      `this is not JSON: ${error instanceof Error ? error.message : 'unreadable'}`,
      'file',
    );
  }
  if (!isRecord(value)) return refuse('not-a-plan', `a plan is an object, not ${shown(value)}`, 'file');
  const { format, version, ...plan } = value;
  if (format !== PLAN_FORMAT)
    return refuse('wrong-format', `"${PLAN_FORMAT}" is wanted, not ${shown(format)}`, 'format');
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('bad-version', `a version number is wanted, not ${shown(version)}`, 'version');
  if (version > PLAN_VERSION)
    return refuse(
      'newer-version',
      `this file is version ${version}; this Drip Line reads up to ${PLAN_VERSION}. Update Drip Line to open it`,
      'version',
    );
  return readPlanValue(plan);
}

/** The text of a plan file. Reading it back gives the same plan. */
export const writePlanFile = (plan: Plan): string =>
  `${JSON.stringify({ format: PLAN_FORMAT, version: PLAN_VERSION, ...plan }, null, 2)}\n`;

/** A file name for a plan: letters, digits and hyphens of its name. */
export const planFileName = (plan: Plan): string =>
  `${
    plan.name
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '')
      .slice(0, 60) || 'plan'
  }.dripline.json`;
