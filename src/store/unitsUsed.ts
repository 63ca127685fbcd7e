import * as v from 'valibot';
import { unitsSchema, type Units } from '../core/plan/planSchema.ts';

const KEY = 'drip-line/units';

/** The units and scales that were chosen last: a new plan begins with them. Undefined before any were chosen. */
export function unitsUsed(): Units | undefined {
  const kept = localStorage.getItem(KEY);
  if (kept === null) return undefined;
  try {
    const read = v.safeParse(unitsSchema, JSON.parse(kept));
    return read.success ? read.output : undefined;
  } catch {
    return undefined;
  }
}

export const keepUnits = (units: Units): void => {
  localStorage.setItem(KEY, JSON.stringify(units));
};
