import { migratePlan } from '../../core/exchange/migrate.ts';
import { PLAN_VERSION } from '../../core/plan/planVersion.ts';

/** The version of a stored plan's shape. What was stored before versions were is of the third. */
export const versionOf = (version: unknown): number =>
  typeof version === 'number' && Number.isInteger(version) && version >= 1 ? version : 3;

/**
 * A stored plan as this version writes it, not checked: what is damaged in it stays so, and a newer one is as
 * it is.
 */
export function upToDate(plan: unknown, version: unknown): unknown {
  const of = versionOf(version);
  return typeof plan === 'object' && plan !== null && of < PLAN_VERSION
    ? migratePlan(plan as Record<string, unknown>, of)
    : plan;
}
