import { migratePlan } from '../core/exchange/migrate.ts';
import { readPlanValue } from '../core/exchange/planFile.ts';
import { prefix, type Draft } from './drafts.ts';

function readDraft(text: string | null): Draft | undefined {
  try {
    const value = JSON.parse(text ?? 'null') as {
      baseRevision?: unknown;
      version?: number;
      plan?: Record<string, unknown>;
    } | null;
    // drafts from before plans had a second version say none
    const read = readPlanValue(value?.plan && migratePlan(value.plan, value.version ?? 1));
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
