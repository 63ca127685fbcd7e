import { PLAN_VERSION } from '../../core/exchange/planVersion.ts';
import type { DraftRecord, DripLineDatabase } from '../database.ts';
import { PAGE_ID } from '../page.ts';
import { storedSteps, type Held } from './planRecords.ts';

export const draftOf = (held: Held, base: string | null): DraftRecord => ({
  planId: held.plan.id,
  page: PAGE_ID,
  base,
  version: PLAN_VERSION,
  plan: held.plan,
  ...storedSteps(held),
});

export const keepDraft = async (db: DripLineDatabase, draft: DraftRecord): Promise<void> => {
  await db.drafts.put(draft);
};

/**
 * Hand a draft to the browser while the page is going away: asked for and committed in one breath, as nothing can be waited
 * for any more. No promise and no error: where it cannot be done, nothing else could be either.
 */
export function leaveDraft(db: DripLineDatabase, draft: DraftRecord): void {
  try {
    const transaction = db.backendDB().transaction(['drafts'], 'readwrite', { durability: 'strict' });
    transaction.objectStore('drafts').put(draft);
    transaction.commit();
  } catch {
    // the database is not open: it has failed before, and the maker was told
  }
}

/** Make a gone page's draft this page's own. False where another page was faster. */
export const takeOver = (db: DripLineDatabase, draft: DraftRecord): Promise<boolean> =>
  db.transaction('rw', db.drafts, async () => {
    if (draft.page === PAGE_ID) return true;
    const key: [string, string] = [draft.planId, draft.page];
    if (!(await db.drafts.get(key))) return false;
    await db.drafts.delete(key);
    await db.drafts.put({ ...draft, page: PAGE_ID });
    return true;
  });

export const dropDraft = (db: DripLineDatabase, planId: string, page = PAGE_ID): Promise<void> =>
  db.drafts.delete([planId, page]);
