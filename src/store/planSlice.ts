import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import undoable, { type StateWithHistory } from 'redux-undo';
import type { Plan } from '../core/plan/planSchema.ts';

export type PlanState = Plan | null;
export type PlanHistory = StateWithHistory<PlanState>;

interface Edited {
  readonly plan: Plan;
  /** edits with the same gesture in a row undo as one (a drag, the keystrokes in one field) */
  readonly gesture: string | null;
}

const slice = createSlice({
  name: 'plan',
  initialState: null as PlanState,
  reducers: {
    /** a plan read from storage: the start of a new history */
    planOpened: (_state, action: PayloadAction<Plan>): PlanState => action.payload,
    planEdited: (_state, action: PayloadAction<Edited>): PlanState => action.payload.plan,
    planClosed: (): PlanState => null,
  },
});

export const { planOpened, planEdited, planClosed } = slice.actions;

const MOST_STEPS_BACK = 300;

export const planReducer = undoable(slice.reducer, {
  limit: MOST_STEPS_BACK,
  clearHistoryType: [planOpened.type, planClosed.type],
  groupBy: (action) => (planEdited.match(action) ? action.payload.gesture : null),
});
