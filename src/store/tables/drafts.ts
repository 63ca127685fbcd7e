import type { Dexie, Table, Transaction } from 'dexie';
import type { Plan } from '../../core/plan/planSchema.ts';
import { PLAN_VERSION } from '../../core/plan/planVersion.ts';
import { PAGE_ID } from '../page.ts';
import { putBatchIn } from './batches.ts';
import { putInOneBreath } from './inOneBreath.ts';
import { storedSteps, type Held } from './plans.ts';
import type { Old, TableHistory } from './table.ts';
import { versionOf } from './upToDate.ts';

/**
 * What a page has of a plan that is not stored: on its way there, or kept until the maker decides between it
 * and another.
 */
export interface DraftRecord {
  readonly planId: string;
  readonly page: string;
  /** the writing it builds on; null: the plan was not stored then */
  readonly base: string | null;
  readonly version: number;
  readonly plan: Plan;
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

/**
 * What was written down in a draft of an older version was done all the same: it is in the batch. Reading the
 * draft leaves it out.
 */
async function batchesOf(transaction: Transaction): Promise<void> {
  for (const { plan, version } of await transaction.table<Old>(DRAFTS.name).toArray())
    await putBatchIn(transaction, plan, versionOf(version));
}

export const DRAFTS: TableHistory = {
  name: 'drafts',
  indexes: { 3: '[planId+page], planId' },
  upgrades: { 6: batchesOf },
};

const rows = (db: Dexie): Table<DraftRecord, [string, string]> => db.table(DRAFTS.name);

export const countDrafts = (db: Dexie): Promise<number> => rows(db).count();

export const allDrafts = (db: Dexie): Promise<readonly DraftRecord[]> => rows(db).toArray();

export const draftsOf = (db: Dexie, planId: string): Promise<readonly DraftRecord[]> =>
  rows(db).where({ planId }).toArray();

export const draftOf = (held: Held, base: string | null): DraftRecord => ({
  planId: held.plan.id,
  page: PAGE_ID,
  base,
  version: PLAN_VERSION,
  plan: held.plan,
  ...storedSteps(held),
});

export const keepDraft = async (db: Dexie, draft: DraftRecord): Promise<void> => {
  await rows(db).put(draft);
};

/** Hand a draft to the browser while the page is going away. */
export const leaveDraft = (db: Dexie, draft: DraftRecord): void => {
  putInOneBreath(db, { [DRAFTS.name]: [draft] });
};

/** Make a gone page's draft this page's own. False where another page was faster. */
export const takeOver = (db: Dexie, draft: DraftRecord): Promise<boolean> =>
  db.transaction('rw', rows(db), async () => {
    if (draft.page === PAGE_ID) return true;
    const key: [string, string] = [draft.planId, draft.page];
    if (!(await rows(db).get(key))) return false;
    await rows(db).delete(key);
    await rows(db).put({ ...draft, page: PAGE_ID });
    return true;
  });

export const dropDraft = (db: Dexie, planId: string, page = PAGE_ID): Promise<void> =>
  rows(db).delete([planId, page]);
