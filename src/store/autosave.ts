import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { ActionTypes } from 'redux-undo';
import { database } from './database.ts';
import {
  becameUnsaved,
  conflictFound,
  conflictOverruled,
  saveFailed,
  saveFinished,
  saveStarted,
  type DeskState,
} from './deskSlice.ts';
import { dropDraft, keepDraft } from './drafts.ts';
import { savePlan } from './planRecords.ts';
import { planEdited, type PlanHistory } from './planSlice.ts';
import { TAB_ID } from './tab.ts';

interface Saved {
  readonly plan: PlanHistory;
  readonly desk: DeskState;
}

/** Quiet time after the last edit before it is stored, ms. The draft is kept at once. */
const QUIET_MS = 300;

/** After a failed save (storage full, private window): how long until the next try, ms. */
const RETRY_MS = 4000;

const isUndoOrRedo = (action: { readonly type: string }): boolean =>
  action.type === ActionTypes.UNDO || action.type === ActionTypes.REDO;

export const autosave = createListenerMiddleware<Saved>();

const changes = isAnyOf(planEdited, conflictOverruled);

/** Saves run one after another: each must know the revision the one before it made. */
let lastSave: Promise<unknown> = Promise.resolve();

type Api = Parameters<Parameters<typeof autosave.startListening>[0]['effect']>[1];

async function saveNow(api: Api): Promise<'done' | 'failed'> {
  const { plan, desk } = api.getState();
  const present = plan.present;
  if (!present || desk.save === 'conflict') return 'done';
  api.dispatch(saveStarted());
  try {
    const outcome = await savePlan(database, present, desk.baseRevision, TAB_ID);
    if (outcome.kind === 'conflict') {
      api.dispatch(conflictFound(outcome.theirs ?? null));
      return 'done';
    }
    const newest = api.getState().plan.present === present;
    if (newest) dropDraft(localStorage, TAB_ID, present.id);
    api.dispatch(saveFinished({ revision: outcome.revision, newest }));
    return 'done';
  } catch {
    api.dispatch(saveFailed());
    return 'failed';
  }
}

autosave.startListening({
  predicate: (action) => changes(action) || isUndoOrRedo(action),
  effect: async (_action, api) => {
    api.cancelActiveListeners();
    const { plan, desk } = api.getState();
    if (!plan.present) return;
    keepDraft(localStorage, TAB_ID, { baseRevision: desk.baseRevision, plan: plan.present });
    api.dispatch(becameUnsaved());
    if (desk.save === 'conflict') return;
    await api.delay(QUIET_MS);
    for (;;) {
      const save = lastSave.then(() => saveNow(api));
      lastSave = save;
      if ((await save) === 'done') return;
      await api.delay(RETRY_MS);
    }
  },
});
