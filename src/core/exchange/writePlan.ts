import type { Plan } from '../plan/planSchema.ts';
import { PLAN_FORMAT, PLAN_VERSION } from '../plan/planVersion.ts';

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
