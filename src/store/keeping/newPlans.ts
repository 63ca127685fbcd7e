import type { Plan } from '../../core/plan/planSchema.ts';
import { database } from '../database.ts';
import { newPlanId } from '../page.ts';
import { store } from '../store.ts';
import { toastShown } from '../toastSlice.ts';
import { bookKeeper } from './books.ts';
import { keeper } from './keep.ts';
import { storageFailed } from './keepingSlice.ts';
import {
  addFound,
  batchOfPlan,
  deletePlan,
  planRecord,
  recordOf,
  restorePlan,
  type FoundPlan,
  type Taken,
} from '../tables/plans.ts';
import { newRevision } from '../tables/revisions.ts';
import { withStorage } from './storage.ts';
import { upToDate } from '../tables/upToDate.ts';
import { troubleOf, TROUBLE_WORDS, type Trouble } from './trouble.ts';

const failed = (error: unknown): Trouble => {
  const trouble = troubleOf(error);
  store.dispatch(storageFailed(trouble));
  return trouble;
};

/**
 * Put plans on the shelf, with their batches. What storage refuses stays in this page, can be worked on, and
 * is tried again.
 */
export async function bringFound(found: readonly FoundPlan[]): Promise<readonly Plan[]> {
  try {
    return await withStorage(database, () => addFound(database, found));
  } catch (error) {
    failed(error);
    return found.flatMap(({ plan, batch }) => {
      // what is stored cannot be asked: an id of their own keeps them from being taken for another's
      const kept = plan && { ...plan, id: newPlanId() };
      if (kept) keeper.keep({ plan: kept, past: [], future: [] });
      if (batch) void bookKeeper.write(kept ? batchOfPlan(batch, kept) : batch, batch.events);
      return kept ?? [];
    });
  }
}

export const bringPlans = (plans: readonly Plan[]): Promise<readonly Plan[]> =>
  bringFound(plans.map((plan) => ({ plan })));

/**
 * The newest of a plan: what this page has not stored yet is stored first. Where storage refuses: as it is
 * shown.
 */
export async function newestPlan(shown: Plan): Promise<Plan> {
  const unfinished = keeper.unfinished(shown.id);
  if (!(await keeper.flush(shown.id)) && unfinished) return unfinished.plan;
  try {
    const record = await withStorage(database, () => planRecord(database, shown.id));
    return record ? (upToDate(record.plan, record.version) as Plan) : shown;
  } catch (error) {
    failed(error);
    return unfinished?.plan ?? shown;
  }
}

/** Take a plan off the shelf; a message says so and can undo it. */
export async function removePlan(plan: Plan): Promise<void> {
  try {
    const unfinished = keeper.unfinished(plan.id);
    await keeper.flush(plan.id);
    const stored = await withStorage(database, () => deletePlan(database, plan.id));
    const taken =
      stored ??
      (unfinished && {
        record: recordOf(unfinished.plan, newRevision()),
        history: undefined,
      });
    await keeper.giveUp(plan.id);
    if (taken)
      store.dispatch(toastShown({ text: `“${plan.name}” is in the bin.`, tone: 'plain', restore: taken }));
  } catch (error) {
    say(`“${plan.name}” could not be taken off the shelf. ${TROUBLE_WORDS[failed(error)]}`);
  }
}

/** Undo a delete. Where that cannot be, the message says so and can be pressed again. */
export async function putBack(taken: Taken): Promise<void> {
  const { name, id } = taken.record;
  try {
    const back = await withStorage(database, () => restorePlan(database, taken));
    if (back.id !== id)
      say(
        `“${name}” is stored again meanwhile and stays as it is. The deleted one came back as “${back.name}”.`,
      );
  } catch (error) {
    store.dispatch(
      toastShown({
        text: `“${name}” could not be put back. ${TROUBLE_WORDS[failed(error)]}`,
        tone: 'trouble',
        restore: taken,
      }),
    );
  }
}

const say = (text: string): void => {
  store.dispatch(toastShown({ text, tone: 'trouble' }));
};
