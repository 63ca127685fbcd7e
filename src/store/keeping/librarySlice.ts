import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Trouble } from './trouble.ts';

/** A change of a record that is on its way to storage, or that storage refuses for now. */
export interface Pending {
  readonly table: string;
  readonly key: string;
  /** null: taken out */
  readonly value: unknown;
  readonly trouble: Trouble | null;
}

export type LibraryState = Readonly<Record<string, Pending>>;

const initialState: LibraryState = {};

const slice = createSlice({
  name: 'library',
  initialState,
  reducers: {
    pendingShown: (s, { payload }: PayloadAction<Pending>): LibraryState => ({
      ...s,
      [`${payload.table}/${payload.key}`]: payload,
    }),
    pendingGone: (
      s,
      { payload: { table, key } }: PayloadAction<Pick<Pending, 'table' | 'key'>>,
    ): LibraryState => {
      const { [`${table}/${key}`]: _gone, ...rest } = s;
      return rest;
    },
  },
});

export const { pendingShown, pendingGone } = slice.actions;
export const libraryReducer = slice.reducer;
