import type { Plan } from '../../core/plan/planSchema.ts';
import type { Dexie } from 'dexie';
import { putBatchIn } from '../tables/batches.ts';
import { keepDraft } from '../tables/drafts.ts';

const PREFIX = 'drip-line/draft/';

interface OldDraft {
  readonly baseRevision: number;
  readonly version?: number;
  /** not checked before it is opened */
  readonly plan: Plan;
}

const keysOf = (storage: Storage): readonly string[] =>
  Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '').filter((k) => k.startsWith(PREFIX));

export const hasOldDrafts = (storage: Storage | undefined): boolean =>
  storage !== undefined && keysOf(storage).length > 0;

/**
 * Edits that an older Drip Line left in localStorage before it could store them: they become drafts like any
 * other. Damaged ones are let go, as that one did.
 */
export async function takeOldDrafts(db: Dexie, storage: Storage | undefined): Promise<void> {
  if (!storage) return;
  for (const key of keysOf(storage)) {
    const [planId = '', page = ''] = key.slice(PREFIX.length).split('/');
    try {
      const { baseRevision, version, plan } = JSON.parse(storage.getItem(key) ?? '') as OldDraft;
      const was = version ?? 1;
      await putBatchIn(db, plan, was);
      // drafts from before plans had a second version say none
      await keepDraft(db, {
        planId,
        page,
        base: baseRevision === 0 ? null : String(baseRevision),
        version: was,
        plan,
        past: [],
        future: [],
      });
    } catch (error) {
      if (!(error instanceof SyntaxError)) throw error;
    }
    storage.removeItem(key);
  }
}
