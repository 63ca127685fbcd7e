import { PLAN_VERSION } from '../core/exchange/planVersion.ts';
import type { Plan } from '../core/plan/planSchema.ts';

/**
 * Edits not yet in the database, kept in localStorage because it is written before the page can go away.
 * One key per plan and tab, so that two tabs never write over each other's draft.
 */
export interface Draft {
  readonly baseRevision: number;
  readonly plan: Plan;
}

/** Where a plan's drafts are kept. */
export const prefix = (planId: string): string => `drip-line/draft/${planId}/`;

export function keepDraft(storage: Storage, tabId: string, draft: Draft): void {
  try {
    storage.setItem(prefix(draft.plan.id) + tabId, JSON.stringify({ ...draft, version: PLAN_VERSION }));
  } catch {
    // storage full or switched off: the database save a moment later still stands
  }
}

export const dropDraft = (storage: Storage, tabId: string, planId: string): void => {
  storage.removeItem(prefix(planId) + tabId);
};
