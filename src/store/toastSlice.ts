import { createSlice, nanoid, type PayloadAction } from '@reduxjs/toolkit';
import type { Taken } from './tables/plans.ts';

export interface Toast {
  readonly id: string;
  readonly text: string;
  readonly tone: 'plain' | 'trouble';
  /** a deleted plan that can be put back */
  readonly restore?: Taken;
}

const slice = createSlice({
  name: 'toasts',
  initialState: [] as readonly Toast[],
  reducers: {
    toastShown: {
      prepare: (toast: Omit<Toast, 'id'>) => ({ payload: { ...toast, id: nanoid() } }),
      reducer: (s: readonly Toast[], a: PayloadAction<Toast>): readonly Toast[] =>
        [...s, a.payload].slice(-4),
    },
    toastGone: (s, a: PayloadAction<string>): readonly Toast[] => s.filter((t) => t.id !== a.payload),
  },
});

export const { toastShown, toastGone } = slice.actions;
export const toastReducer = slice.reducer;
