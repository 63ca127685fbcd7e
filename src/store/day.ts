import * as v from 'valibot';
import type { Batch } from '../core/batch/batchSchema.ts';
import { isOver, merged } from '../core/batch/book.ts';
import { eventSchema } from '../core/batch/eventSchema.ts';
import { happenedIn } from '../core/batch/happened.ts';
import { begunBatch, type Said } from '../core/batch/note.ts';
import { stateOf } from '../core/batch/state.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import { faultOf } from '../core/exchange/schemaFaults.ts';
import type { Fault } from '../core/result/result.ts';
import { ask, follow } from './ask.ts';
import { stamped } from './batchShown.ts';
import { batchOpened, batchSeen } from './batchSlice.ts';
import { deskOpened } from './deskSlice.ts';
import { bookKeeper } from './keeping/books.ts';
import { storageFailed } from './keeping/keepingSlice.ts';
import { samePlan } from './keeping/samePlan.ts';
import { troubleOf, type Trouble } from './keeping/trouble.ts';
import { planOpened } from './planSlice.ts';
import { store, type AppDispatch, type RootState } from './store.ts';
import { batchById, batchesOfPlan } from './tables/batches.ts';
import { readBatches, readStoredBatch } from './tables/storedBatch.ts';
import { now } from './when.ts';
import { workOut } from './workedOut.ts';

type Thunk<T> = (dispatch: AppDispatch, getState: () => RootState) => T;

export type BatchOpening =
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' | 'damaged' }
  | { readonly kind: 'trouble'; readonly trouble: Trouble };

/**
 * A batch of a plan begins, and is stored: its id. What was begun of the same plan, and of which nothing is
 * done yet, is gone on with: what was written of it before holds.
 */
export async function startBatch(plan: Plan): Promise<string> {
  const { batches } = readBatches(await ask((db) => batchesOfPlan(db, plan.id)));
  const begun = batches.find((b) => !isOver(b) && stateOf(b).done.size === 0 && samePlan(b.plan, plan));
  if (begun) return begun.id;
  const batch = begunBatch(plan, crypto.randomUUID(), now());
  await bookKeeper.write(batch, []);
  return batch.id;
}

/** Show a batch in its room: its plan as it goes on, which nothing there changes. */
export const openBatch =
  (id: string): Thunk<Promise<BatchOpening>> =>
  async (dispatch) => {
    let batch: Batch | undefined;
    try {
      const stored = await ask((db) => batchById(db, id));
      const read = stored && readStoredBatch(stored);
      const unstored = bookKeeper.unstored(id);
      batch = read && unstored ? merged(read, unstored) : (read ?? unstored);
      if (!batch) return { kind: stored ? 'damaged' : 'missing' };
    } catch (error) {
      const trouble = troubleOf(error);
      dispatch(storageFailed(trouble));
      return { kind: 'trouble', trouble };
    }
    const { plan } = stateOf(batch);
    await workOut({ plan, happened: happenedIn(batch, plan) });
    dispatch(batchOpened(batch));
    dispatch(planOpened({ plan, frozen: true }));
    dispatch(deskOpened({ notice: null }));
    return { kind: 'open' };
  };

/** Follow a batch as it is stored: what other pages write is shown. Returns the function that stops. */
export const followBatch =
  (id: string): Thunk<() => void> =>
  (dispatch) =>
    follow(
      (db) => batchById(db, id),
      (stored) => {
        const batch = stored && readStoredBatch(stored);
        if (batch) dispatch(batchSeen(batch));
      },
    );

let last: Promise<unknown> = Promise.resolve();

/**
 * Write down what is done of the batch that is shown, one after another. It is shown once it is stored, or
 * once storage has refused it: then it is told as such, and tried again. What cannot be written comes back as
 * a fault, and nothing of it is.
 */
export const sayOnDay = (says: readonly Said[]): Promise<Fault | undefined> => {
  // when it was said, however long what was said before it takes to be stored
  const at = now();
  const said = last.then(async (): Promise<Fault | undefined> => {
    const { batch } = store.getState().batch;
    if (!batch) return undefined;
    const after = stamped(batch, says, at);
    const events = after.events.slice(batch.events.length);
    for (const event of events) {
      const read = v.safeParse(eventSchema, event);
      if (!read.success) return faultOf(read.issues[0]);
    }
    await bookKeeper.write(after, events);
    store.dispatch(batchSeen(after));
    return undefined;
  });
  last = said.catch(() => undefined);
  return said;
};
