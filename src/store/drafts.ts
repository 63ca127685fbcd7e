import { readPlanValue } from '../core/exchange/planFile.ts';
import type { Plan } from '../core/plan/planSchema.ts';

/**
 * Edits not yet in the database, kept in localStorage because it is written before the page can go away.
 * One key per plan and tab, so that two tabs never write over each other's draft.
 */
export interface Draft {
  readonly baseRevision: number;
  readonly plan: Plan;
}

const prefix = (planId: string): string => `drip-line/draft/${planId}/`;

export function keepDraft(storage: Storage, tabId: string, draft: Draft): void {
  try {
    storage.setItem(prefix(draft.plan.id) + tabId, JSON.stringify(draft));
  } catch {
    // storage full or switched off: the database save a moment later still stands
  }
}

export const dropDraft = (storage: Storage, tabId: string, planId: string): void => {
  storage.removeItem(prefix(planId) + tabId);
};

function readDraft(text: string | null): Draft | undefined {
  try {
    const value = JSON.parse(text ?? 'null') as { baseRevision?: unknown; plan?: unknown } | null;
    const read = readPlanValue(value?.plan);
    return read.ok && typeof value?.baseRevision === 'number'
      ? { baseRevision: value.baseRevision, plan: read.plan }
      : undefined;
  } catch {
    return undefined;
  }
}

/** The newest draft any tab left of a plan; drafts are taken out of the storage as they are read. */
export function takeDraft(storage: Storage, planId: string): Draft | undefined {
  const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '').filter((k) =>
    k.startsWith(prefix(planId)),
  );
  const drafts = keys.flatMap((key) => {
    const draft = readDraft(storage.getItem(key));
    storage.removeItem(key);
    return draft ? [draft] : [];
  });
  return drafts.sort((a, b) => (a.plan.changed < b.plan.changed ? 1 : -1))[0];
}
