import { liveQuery } from 'dexie';
import { database, type PlanRecord } from './database.ts';
import { conflictFound, deskOpened } from './deskSlice.ts';
import { planEdited, planOpened } from './planSlice.ts';
import { takeDraft } from './takeDraft.ts';
import type { AppDispatch, RootState } from './store.ts';
import { TAB_ID } from './tab.ts';

type Thunk<T> = (dispatch: AppDispatch, getState: () => RootState) => T;

/** Open a stored plan, with any edits this browser had not stored yet. False when there is no such plan. */
export const openPlan =
  (id: string): Thunk<Promise<boolean>> =>
  async (dispatch) => {
    const record = await database.plans.get(id);
    const draft = takeDraft(localStorage, id);
    if (!record && !draft) return false;
    const base = record?.plan ?? draft?.plan;
    if (!base) return false;
    dispatch(planOpened(base));
    dispatch(deskOpened({ baseRevision: record?.revision ?? 0, notice: null }));
    if (draft && draft.plan.changed > (record?.changed ?? '')) {
      const sameBase = draft.baseRevision === (record?.revision ?? 0);
      if (!sameBase) dispatch(conflictFound(record ?? null));
      dispatch(planEdited({ plan: draft.plan, gesture: null }));
    }
    return true;
  };

/** Take over what another tab stored, giving up what is unsaved here. */
export const takeTheirs =
  (record: PlanRecord): Thunk<void> =>
  (dispatch) => {
    takeDraft(localStorage, record.id);
    dispatch(planOpened(record.plan));
    dispatch(deskOpened({ baseRevision: record.revision, notice: 'Brought up to date with the other tab.' }));
  };

/**
 * Follow the stored plan while it is open here: an unchanged plan is brought up to date, a changed one
 * becomes a conflict for the maker to settle. Returns the function that stops following.
 */
export const followPlan =
  (id: string): Thunk<() => void> =>
  (dispatch, getState) => {
    const subscription = liveQuery(() => database.plans.get(id)).subscribe((record) => {
      const { plan, desk } = getState();
      if (plan.present?.id !== id || !record) return;
      if (record.savedBy === TAB_ID || record.revision <= desk.baseRevision) return;
      if (desk.save === 'saved') dispatch(takeTheirs(record));
      else dispatch(conflictFound(record));
    });
    return () => {
      subscription.unsubscribe();
    };
  };
