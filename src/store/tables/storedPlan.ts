import { readPlanValue, type PlanRead } from '../../core/exchange/planValue.ts';
import { PLAN_VERSION } from '../../core/plan/planVersion.ts';
import type { DraftRecord } from './drafts.ts';
import type { Held } from './plans.ts';
import { upToDate, versionOf } from './upToDate.ts';

/** A stored plan, checked and brought up to date. */
export function readStored(value: unknown, version: unknown): PlanRead {
  const of = versionOf(version);
  if (of > PLAN_VERSION)
    return {
      ok: false,
      faults: [
        {
          code: 'newer-version',
          message: `it was stored by a newer Drip Line, as version ${of}`,
          at: 'version',
        },
      ],
    };
  return readPlanValue(upToDate(value, of));
}

/**
 * A draft, checked and brought up to date, with its history where that is of this version. Undefined: it is
 * damaged.
 */
export function readDraft({ plan, version, past, future }: DraftRecord): Held | undefined {
  const read = readStored(plan, version);
  if (!read.ok) return undefined;
  return version === PLAN_VERSION
    ? { plan: read.plan, past, future }
    : { plan: read.plan, past: [], future: [] };
}
