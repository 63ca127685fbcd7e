import type { Dexie } from 'dexie';
import { gonePages, PAGE_ID } from '../page.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { samePlan } from './samePlan.ts';
import { allDrafts, type DraftRecord } from '../tables/drafts.ts';
import { planRecord } from '../tables/plans.ts';
import { upToDate } from '../tables/upToDate.ts';

/** A plan that waits for the maker's decision between what is stored and what a page had of it. */
export interface Conflict {
  readonly planId: string;
  readonly page: string;
  readonly name: string;
  /** it was deleted elsewhere */
  readonly deleted: boolean;
  /** it is open in another tab, where it can be decided */
  readonly elsewhere: boolean;
}

/** The name in a stored plan, which may be damaged. */
const nameOf = (plan: unknown): string | undefined => {
  const name = (plan as Readonly<Record<string, unknown>> | null | undefined)?.['name'];
  return typeof name === 'string' ? name : undefined;
};

async function isOpen(db: Dexie, draft: DraftRecord): Promise<'conflict' | 'deleted' | undefined> {
  const record = await planRecord(db, draft.planId);
  if ((record?.revision ?? null) === draft.base) return undefined;
  if (!record) return 'deleted';
  const same = samePlan(
    upToDate(record.plan, record.version) as Plan,
    upToDate(draft.plan, draft.version) as Plan,
  );
  return same ? undefined : 'conflict';
}

/** All plans that wait for a decision. */
export async function openConflicts(db: Dexie): Promise<readonly Conflict[]> {
  const drafts = await allDrafts(db);
  const found = await Promise.all(drafts.map(async (draft) => ({ draft, why: await isOpen(db, draft) })));
  return found.flatMap(({ draft, why }) =>
    why === undefined
      ? []
      : [
          {
            planId: draft.planId,
            page: draft.page,
            name: nameOf(draft.plan) ?? draft.planId,
            deleted: why === 'deleted',
            elsewhere: false,
          },
        ],
  );
}

/** Those of them that another living page has in its hands. */
export async function livingElsewhere(conflicts: readonly Conflict[]): Promise<readonly Conflict[]> {
  const gone = await gonePages(conflicts.map((c) => c.page));
  return conflicts.map((c) => ({ ...c, elsewhere: c.page !== PAGE_ID && !gone.has(c.page) }));
}
