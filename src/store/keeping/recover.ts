import type { Plan } from '../../core/plan/planSchema.ts';
import { browserStorage } from '../browserStorage.ts';
import { database } from '../database.ts';
import { gonePages, stayAlive } from '../page.ts';
import { allDrafts, dropDraft } from '../tables/drafts.ts';
import { takeOldDrafts } from './oldDrafts.ts';
import { planRecord, savePlan } from '../tables/plans.ts';
import { samePlan } from './samePlan.ts';
import { withStorage } from './storage.ts';
import { readDraft } from '../tables/storedPlan.ts';
import { upToDate } from '../tables/upToDate.ts';

/**
 * Store what pages that are gone had not stored any more. What builds on a writing that is no longer there
 * stays a draft, for the maker to decide. Returns the names of the plans that were brought up to date.
 */
export const recoverDrafts = (): Promise<readonly string[]> =>
  withStorage(database, async () => {
    await stayAlive();
    await takeOldDrafts(database, browserStorage());
    const drafts = await allDrafts(database);
    const gone = await gonePages(drafts.map((d) => d.page));
    const names: string[] = [];
    for (const draft of drafts.filter((d) => gone.has(d.page))) {
      const record = await planRecord(database, draft.planId);
      const held = readDraft(draft);
      if (!held) continue;
      const drop = (): Promise<void> => dropDraft(database, draft.planId, draft.page);
      if (record && samePlan(upToDate(record.plan, record.version) as Plan, held.plan)) await drop();
      else if ((record?.revision ?? null) === draft.base) {
        if ((await savePlan(database, held, draft.base)).kind === 'written') {
          names.push(held.plan.name);
          await drop();
        }
      }
    }
    return names;
  });
