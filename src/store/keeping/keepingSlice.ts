import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { PlanRecord } from '../tables/plans.ts';
import type { Trouble } from './trouble.ts';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'failed' | 'conflict';

/** How a plan that this page works on, or has left with work that is not stored, stands in storage. */
export interface WorkState {
  readonly save: SaveState;
  /** why the last try to store it failed */
  readonly trouble: Trouble | null;
  /** in a conflict: what is stored instead; null: it was deleted */
  readonly theirs: PlanRecord | null;
  /** the plan, once it was left: what the shelf shows of it. Null while it is open */
  readonly left: Plan | null;
}

export interface KeepingState {
  /** by the plan's id */
  readonly works: Readonly<Record<string, WorkState>>;
  /** storage could not be read or written when it was last asked; null: all is well */
  readonly trouble: Trouble | null;
  /** counts the times that storage came back or was asked again: what reads it begins anew */
  readonly attempt: number;
}

const initialState: KeepingState = { works: {}, trouble: null, attempt: 0 };

const same = (a: WorkState | undefined, b: WorkState): boolean =>
  a?.save === b.save && a.trouble === b.trouble && a.theirs === b.theirs && a.left === b.left;

const slice = createSlice({
  name: 'keeping',
  initialState,
  reducers: {
    // the same object while nothing changes: a drag must not redraw what only shows the save state
    workChanged: (s, { payload: { planId, work } }: PayloadAction<{ planId: string; work: WorkState }>) =>
      same(s.works[planId], work) ? s : { ...s, works: { ...s.works, [planId]: work } },
    workEnded: (s, { payload }: PayloadAction<string>) => {
      const { [payload]: _ended, ...works } = s.works;
      return { ...s, works };
    },
    storageFailed: (s, { payload }: PayloadAction<Trouble>) =>
      s.trouble === payload ? s : { ...s, trouble: payload },
    storageAnswered: (s) => (s.trouble === null ? s : { ...s, trouble: null, attempt: s.attempt + 1 }),
    askedAgain: (s) => ({ ...s, attempt: s.attempt + 1 }),
  },
});

export const { workChanged, workEnded, storageFailed, storageAnswered, askedAgain } = slice.actions;
export const keepingReducer = slice.reducer;
