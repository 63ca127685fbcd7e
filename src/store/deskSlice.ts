import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Deficiency } from '../core/colour/deficiency.ts';
import type { Moment } from '../core/look/state.ts';
import type { PlanRecord } from './database.ts';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'failed' | 'conflict';

/** What surrounds the open plan: where it stands in storage, what is chosen. Not undoable. */
export interface DeskState {
  readonly baseRevision: number;
  readonly save: SaveState;
  /** what another tab stored meanwhile; null when it deleted the plan */
  readonly theirs: PlanRecord | null;
  /** the chosen pour's step id */
  readonly chosen: string | null;
  readonly notice: string | null;
  readonly view: LoafViewName;
  /** the whole loaf, or as it stands when the chosen pour is made */
  readonly moment: 'whole' | 'pour';
  readonly look: Look;
  /** on a small screen: the section folded to a strip; null: as the screen's size has it */
  readonly folded: boolean | null;
}

/** How the soap is looked at: when, and with what is planned or as if it were otherwise. */
export interface Look {
  readonly when: Moment;
  readonly gelled: 'as-planned' | 'yes' | 'no';
  readonly scented: boolean;
  /** whose eyes: all colours, or a deficiency simulated */
  readonly eyes: Deficiency | 'all';
}

export type LoafViewName = 'section' | 'side' | 'plan' | 'loaf' | 'bars';

const initialState: DeskState = {
  baseRevision: 0,
  save: 'saved',
  theirs: null,
  chosen: null,
  notice: null,
  view: 'section',
  moment: 'whole',
  look: { when: 'cured', gelled: 'as-planned', scented: true, eyes: 'all' },
  folded: null,
};

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    deskOpened: (_s, a: PayloadAction<{ baseRevision: number; notice: string | null }>): DeskState => ({
      ...initialState,
      ...a.payload,
    }),
    saveStarted: (s): DeskState => ({ ...s, save: 'saving' }),
    // the same object while nothing changes: a drag must not redraw what only shows the save state
    becameUnsaved: (s): DeskState =>
      s.save === 'conflict' || s.save === 'unsaved' ? s : { ...s, save: 'unsaved' },
    saveFinished: (s, a: PayloadAction<{ revision: number; newest: boolean }>): DeskState => ({
      ...s,
      baseRevision: a.payload.revision,
      save: a.payload.newest ? 'saved' : 'unsaved',
    }),
    saveFailed: (s): DeskState => ({ ...s, save: 'failed' }),
    conflictFound: (s, a: PayloadAction<PlanRecord | null>): DeskState => ({
      ...s,
      save: 'conflict',
      theirs: a.payload,
    }),
    /** the maker chose to put this tab's plan over the other's */
    conflictOverruled: (s): DeskState => ({
      ...s,
      save: 'unsaved',
      baseRevision: s.theirs?.revision ?? 0,
      theirs: null,
    }),
    pourChosen: (s, a: PayloadAction<string | null>): DeskState =>
      s.chosen === a.payload ? s : { ...s, chosen: a.payload },
    viewShown: (s, a: PayloadAction<LoafViewName>): DeskState => ({ ...s, view: a.payload }),
    momentShown: (s, a: PayloadAction<DeskState['moment']>): DeskState => ({ ...s, moment: a.payload }),
    lookChanged: (s, a: PayloadAction<Partial<Look>>): DeskState => ({
      ...s,
      look: { ...s.look, ...a.payload },
    }),
    sectionFolded: (s, a: PayloadAction<boolean>): DeskState => ({ ...s, folded: a.payload }),
    noticeRead: (s): DeskState => ({ ...s, notice: null }),
  },
});

export const {
  deskOpened,
  saveStarted,
  becameUnsaved,
  saveFinished,
  saveFailed,
  conflictFound,
  conflictOverruled,
  pourChosen,
  viewShown,
  momentShown,
  lookChanged,
  sectionFolded,
  noticeRead,
} = slice.actions;
export const deskReducer = slice.reducer;
