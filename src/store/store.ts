import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { autosave } from './autosave.ts';
import { deskReducer, type DeskState } from './deskSlice.ts';
import { planReducer, type PlanHistory } from './planSlice.ts';
import { toastReducer, type Toast } from './toastSlice.ts';

export interface RootState {
  readonly plan: PlanHistory;
  readonly desk: DeskState;
  readonly toasts: readonly Toast[];
}

/** The development checks walk every plan on every action; the plan reader already guards its shape. */
const noWalks = { serializableCheck: false, immutableCheck: false };

export const store = configureStore({
  reducer: { plan: planReducer, desk: deskReducer, toasts: toastReducer },
  middleware: (defaults) => defaults(noWalks).prepend(autosave.middleware),
});

export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
