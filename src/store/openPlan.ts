import { liveQuery } from 'dexie';
import type { Batch } from '../core/batch/batchSchema.ts';
import { happenedIn } from '../core/batch/happened.ts';
import { merged } from '../core/batch/book.ts';
import type { Fault } from '../core/result/result.ts';
import { PLAN_VERSION } from '../core/plan/planVersion.ts';
import { follow } from './ask.ts';
import { batchOpened, batchSeen } from './batchSlice.ts';
import { browserStorage } from './browserStorage.ts';
import { database } from './database.ts';
import { firstStart } from './firstStart.ts';
import { deskOpened, noticeGiven } from './deskSlice.ts';
import { onWorkedOut } from './computed.ts';
import { bookKeeper } from './keeping/books.ts';
import { keeper } from './keeping/keep.ts';
import { storageAnswered, storageFailed } from './keeping/keepingSlice.ts';
import { takeOldDrafts } from './keeping/oldDrafts.ts';
import { withStorage } from './keeping/storage.ts';
import { samePlan } from './keeping/samePlan.ts';
import { troubleOf, type Trouble } from './keeping/trouble.ts';
import { gonePages, PAGE_ID, stayAlive } from './page.ts';
import { planOpened, workedOut } from './planSlice.ts';
import { workOut } from './workedOut.ts';
import type { AppDispatch, RootState } from './store.ts';
import { setAside } from './tables/aside.ts';
import { batchesOfPlan } from './tables/batches.ts';
import { draftsOf, dropDraft, takeOver, type DraftRecord } from './tables/drafts.ts';
import { histories } from './tables/histories.ts';
import { planRecord, storedRevision, type Held, type PlanRecord } from './tables/plans.ts';
import { goingOn, readBatches, unfinished } from './tables/storedBatch.ts';
import { readDraft, readStored } from './tables/storedPlan.ts';
import { writeTyped } from './writeDown.ts';

type Thunk<T> = (dispatch: AppDispatch, getState: () => RootState) => T;

export type Opening =
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  | { readonly kind: 'damaged'; readonly faults: readonly Fault[] }
  | { readonly kind: 'trouble'; readonly trouble: Trouble };

type Found =
  | { readonly kind: 'work'; readonly held: Held; readonly notice: string | null }
  | Exclude<Opening, { readonly kind: 'open' }>;

/** Work on a plan that no living page has in its hands, with the place of each draft. */
async function looseDrafts(planId: string): Promise<readonly DraftRecord[]> {
  const all = await draftsOf(database, planId);
  const gone = await gonePages(all.map((d) => d.page));
  return all.filter((d) => d.page === PAGE_ID || gone.has(d.page));
}

async function storedHeld(record: PlanRecord): Promise<Held | readonly Fault[]> {
  // it was read in one turn, and is checked in another: a large one takes its time for either
  await new Promise((turn) => setTimeout(turn));
  const read = readStored(record.plan, record.version);
  if (!read.ok) return read.faults;
  const history = await histories(database).get(record.id);
  const goesWith = history?.revision === record.revision && history.version === PLAN_VERSION;
  return { plan: read.plan, past: goesWith ? history.past : [], future: goesWith ? history.future : [] };
}

/** What only tidies up: a disk that is full must not keep a plan from being opened. */
const ifItCan = <T>(tidying: Promise<T>, otherwise: T): Promise<T> => tidying.catch(() => otherwise);

/**
 * Opened by its address before the shelf was ever seen here, a plan of the demo studio is put there first.
 */
async function afterFirstStart(id: string): Promise<PlanRecord | undefined> {
  await ifItCan(firstStart(), []);
  return planRecord(database, id);
}

/** Read a plan and what was left unstored of it, and begin to keep it. */
async function find(id: string): Promise<Found> {
  await stayAlive();
  await ifItCan(takeOldDrafts(database, browserStorage()), undefined);
  const record = (await planRecord(database, id)) ?? (await afterFirstStart(id));
  const stored = record && (await storedHeld(record));
  if (stored && !('plan' in stored)) return { kind: 'damaged', faults: stored };
  const base = record?.revision ?? null;
  let draft: DraftRecord | undefined;
  let held: Held | undefined;
  for (const one of await looseDrafts(id)) {
    const work = readDraft(one);
    if (!work) await ifItCan(setAside(database, 'drafts', [id, one.page]), undefined);
    // stored after all, in the last moment of the page that left it; what builds on the stored one has newer
    // undo and redo
    else if (stored && one.base !== base && samePlan(work.plan, stored.plan))
      await ifItCan(dropDraft(database, id, one.page), undefined);
    else if (!draft || (one.base === base && draft.base !== base)) [draft, held] = [one, work];
  }
  if (draft && held && (await ifItCan(takeOver(database, draft), true))) {
    const fits = draft.base === base;
    keeper.begin(id, {
      held,
      base: fits ? base : draft.base,
      stored: false,
      drafted: true,
      ...(fits ? {} : { theirs: record ?? null }),
    });
    const same = stored !== undefined && samePlan(held.plan, stored.plan);
    const notice = fits && !same ? 'What had not been stored yet was brought back.' : null;
    return { kind: 'work', held, notice };
  }
  if (!stored) return { kind: 'missing' };
  keeper.begin(id, { held: stored, base, stored: true });
  return { kind: 'work', held: stored, notice: null };
}

/** What is going on of a plan, as it is stored and as this page is about to store it. */
async function batchOf(planId: string): Promise<{ readonly batch: Batch | null; readonly damaged: boolean }> {
  const unstored = bookKeeper.unstoredOf(planId);
  try {
    const stored = await withStorage(database, () => batchesOfPlan(database, planId));
    const { batches, damaged } = readBatches(stored);
    const batch = unfinished(batches);
    return {
      batch: batch && unstored ? merged(batch, unstored) : (batch ?? unstored ?? null),
      damaged: damaged.length > 0,
    };
  } catch {
    // what cannot be read is told by what reads the plan
    return { batch: unstored ?? null, damaged: false };
  }
}

const DAMAGED_BATCH =
  'What was written down of this plan cannot be read: it is shown as planned. “What is kept” has it as it is stored.';

/** Open a plan with its history, and with any work on it that a page left unstored when it went away. */
export const openPlan =
  (id: string): Thunk<Promise<Opening>> =>
  async (dispatch) => {
    writeTyped();
    const here = keeper.unfinished(id);
    let found: Found;
    try {
      found = here ? { kind: 'work', held: here, notice: null } : await withStorage(database, () => find(id));
    } catch (error) {
      const trouble = troubleOf(error);
      dispatch(storageFailed(trouble));
      return { kind: 'trouble', trouble };
    }
    // a station that reads nothing else of storage must not go on saying that it cannot be used
    if (!here) dispatch(storageAnswered());
    if (found.kind !== 'work') return found;
    const { batch, damaged } = await batchOf(id);
    await workOut({ plan: found.held.plan, happened: happenedIn(batch ?? undefined, found.held.plan) });
    onWorkedOut(() => dispatch(workedOut()));
    keeper.resume(id);
    dispatch(batchOpened(batch));
    dispatch(planOpened(found.held));
    dispatch(deskOpened({ notice: damaged ? DAMAGED_BATCH : found.notice }));
    return { kind: 'open' };
  };

/** Show what another page stored instead of what is here, giving up what is unstored here. */
export const takeTheirs =
  (record: PlanRecord): Thunk<Promise<Opening>> =>
  async (dispatch) => {
    const held = await withStorage(database, () => storedHeld(record));
    if (!('plan' in held)) return { kind: 'damaged', faults: held };
    await keeper.giveUp(record.id);
    keeper.begin(record.id, { held, base: record.revision, stored: true });
    dispatch(planOpened(held));
    // what is chosen, and a field that is open, stay as they are
    dispatch(noticeGiven('Brought up to date with the other tab.'));
    return { kind: 'open' };
  };

/**
 * Follow the stored plan while it is open here: an unchanged plan is brought up to date, a changed one
 * becomes a conflict for the maker to settle. Returns the function that stops following.
 */
export const followPlan =
  (id: string): Thunk<() => void> =>
  (dispatch, getState) => {
    const isOpen = (): boolean => getState().plan.present?.id === id;
    // followed again once storage answers
    const failed = (error: unknown): void => void dispatch(storageFailed(troubleOf(error)));
    const othersStored = async (): Promise<void> => {
      const record = await withStorage(database, () => planRecord(database, id));
      if (isOpen() && keeper.otherStored(id, record) && record) await dispatch(takeTheirs(record));
    };
    const subscription = liveQuery(() => storedRevision(database, id)).subscribe({
      next: (revision) => {
        if (isOpen() && !keeper.isOfHere(id, revision)) othersStored().catch(failed);
      },
      error: failed,
    });
    const stop = follow(
      (db) => batchesOfPlan(db, id),
      (stored) => {
        const batch = goingOn(stored);
        if (batch && getState().plan.present?.id === id) dispatch(batchSeen(batch));
      },
    );
    return () => {
      subscription.unsubscribe();
      stop();
    };
  };
