import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Batch } from '../core/batch/batchSchema.ts';
import { merged } from '../core/batch/book.ts';
import type { Said } from '../core/batch/note.ts';
import type { When } from '../core/batch/when.ts';

/** What is typed in a field that is still open: shown as if it were written down. */
export interface Typed {
  readonly gesture: string;
  readonly says: readonly Said[];
  readonly at: When;
}

/** The batch that is going on of the open plan. Undo and redo of the plan are nothing to it. */
export interface BatchState {
  readonly batch: Batch | null;
  readonly typed: Typed | null;
}

const initialState: BatchState = { batch: null, typed: null };

const slice = createSlice({
  name: 'batch',
  initialState,
  reducers: {
    /** a plan was opened, with what goes on of it */
    batchOpened: (_s, a: PayloadAction<Batch | null>): BatchState => ({ batch: a.payload, typed: null }),
    /** as it is stored, or as this page has written it: nothing that is written goes away again */
    batchSeen: (s, a: PayloadAction<Batch>): BatchState => {
      const batch = s.batch?.id === a.payload.id ? merged(s.batch, a.payload) : a.payload;
      return batch === s.batch ? s : { ...s, batch };
    },
    typedShown: (s, a: PayloadAction<Typed | null>): BatchState => ({ ...s, typed: a.payload }),
  },
});

export const { batchOpened, batchSeen, typedShown } = slice.actions;
export const batchReducer = slice.reducer;
