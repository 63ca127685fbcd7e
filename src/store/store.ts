import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { batchReducer, type BatchState } from './batchSlice.ts';
import { deskReducer, type DeskState } from './deskSlice.ts';
import { keepingReducer, type KeepingState } from './keeping/keepingSlice.ts';
import { libraryReducer, type LibraryState } from './keeping/librarySlice.ts';
import { newVersionReducer } from './newVersion.ts';
import { planReducer, type PlanHistory } from './planSlice.ts';
import { toastReducer, type Toast } from './toastSlice.ts';

export interface RootState {
  readonly plan: PlanHistory;
  readonly batch: BatchState;
  readonly desk: DeskState;
  readonly keeping: KeepingState;
  readonly library: LibraryState;
  /** a newer version of the product waits */
  readonly newVersion: boolean;
  readonly toasts: readonly Toast[];
}

/** The development checks walk every plan on every action; the plan reader already guards its shape. */
const noWalks = { serializableCheck: false, immutableCheck: false };

export const store = configureStore({
  reducer: {
    plan: planReducer,
    batch: batchReducer,
    desk: deskReducer,
    keeping: keepingReducer,
    library: libraryReducer,
    newVersion: newVersionReducer,
    toasts: toastReducer,
  },
  middleware: (defaults) => defaults(noWalks),
});

export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
