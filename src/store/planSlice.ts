import { createAction, createReducer, type Reducer } from '@reduxjs/toolkit';
import undoable, { newHistory, type StateWithHistory } from 'redux-undo';
import type { Plan } from '../core/plan/planSchema.ts';

export type PlanState = Plan | null;
export type PlanHistory = StateWithHistory<PlanState>;

interface Edited {
  readonly plan: Plan;
  /** edits with the same gesture in a row undo as one (a drag, the keystrokes in one field) */
  readonly gesture: string | null;
}

/** a plan read from storage: the start of a new history */
export const planOpened = createAction<Plan>('plan/opened');
export const planEdited = createAction<Edited>('plan/edited');
export const planClosed = createAction('plan/closed');

const MOST_STEPS_BACK = 300;

const edited = createReducer(null as PlanState, (builder) => {
  builder.addCase(planEdited, (_state, action): PlanState => action.payload.plan);
});

const undoableEdits = undoable(edited, {
  limit: MOST_STEPS_BACK,
  groupBy: (action) => (planEdited.match(action) ? action.payload.gesture : null),
});

/** The open plan and its history. Opening and closing start the history anew. */
export const planReducer: Reducer<PlanHistory> = (state, action) => {
  if (planOpened.match(action)) return newHistory<PlanState>([], action.payload, []);
  if (planClosed.match(action)) return newHistory<PlanState>([], null, []);
  return undoableEdits(state, action);
};
