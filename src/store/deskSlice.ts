import type { MouldId, PotId } from '../core/validate/ids.ts';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Deficiency } from '../core/colour/deficiency.ts';
import { wasIntroduced } from './introduced.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import { FIRST } from '../core/plan/moulds.ts';
import type { Age } from '../core/look/state.ts';

/** What surrounds the open plan: what is chosen, how it is looked at. Not undoable. */
export interface DeskState {
  /** the mould on the bench, by its id in the plan */
  readonly mould: MouldId;
  /** the chosen pour's step id */
  readonly chosen: string | null;
  readonly notice: string | null;
  readonly view: LoafViewName;
  /** the whole loaf, or as it stands when the chosen pour is made */
  readonly moment: 'whole' | 'pour';
  readonly look: Look;
  /** the loaf as it comes out poured as it is timed, or so many minutes later; null: as it is drawn */
  readonly lateMin: number | null;
  /** what else the same hands make: plans by their ids, this one again among them */
  readonly alsoMade: readonly string[];
  /** on a small screen: the section folded to a strip; null: as the screen's size has it */
  readonly folded: boolean | null;
  /** the parts of stations that are open, by their names in addresses */
  readonly unfolded: readonly string[];
  /** which batch recipe and pots are shown of: the loaf's, or the one that is piped on it */
  readonly batch: 'loaf' | 'second';
  /** the pot whose card is open under Colour: none; absent: that of the chosen pour */
  readonly pot: PotId | null | undefined;
  /** a version of the plan kept to compare with */
  readonly beside: Plan | null;
  /** on a first visit: the workbench explains itself */
  readonly introduce: boolean;
}

/** How the soap is looked at: when, and with what is planned or as if it were otherwise. */
export interface Look {
  readonly when: Age;
  readonly gelled: 'as-planned' | 'yes' | 'no';
  readonly scented: boolean;
  /** patterns with the waver of a hand, 0 to 1: for looks alone */
  readonly hand: number;
  /** whose eyes: all colours, or a deficiency simulated */
  readonly eyes: Deficiency | 'all';
}

export type LoafViewName = 'section' | 'side' | 'plan' | 'loaf' | 'cut' | 'bars' | 'beside' | 'nine';

const initialState: DeskState = {
  mould: FIRST,
  chosen: null,
  notice: null,
  view: 'section',
  moment: 'whole',
  look: { when: 'cured', gelled: 'as-planned', scented: true, hand: 0, eyes: 'all' },
  lateMin: null,
  alsoMade: [],
  folded: null,
  unfolded: [],
  batch: 'loaf',
  pot: undefined,
  beside: null,
  introduce: !wasIntroduced(),
};

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    deskOpened: (s, a: PayloadAction<{ notice: string | null }>): DeskState => ({
      ...initialState,
      introduce: s.introduce,
      ...a.payload,
    }),
    introductionEnded: (s): DeskState => ({ ...s, introduce: false }),
    pourChosen: (s, a: PayloadAction<string | null>): DeskState =>
      s.chosen === a.payload ? s : { ...s, chosen: a.payload, pot: undefined },
    mouldShown: (s, a: PayloadAction<string>): DeskState => ({ ...s, mould: a.payload }),
    viewShown: (s, a: PayloadAction<LoafViewName>): DeskState => ({ ...s, view: a.payload }),
    momentShown: (s, a: PayloadAction<DeskState['moment']>): DeskState => ({ ...s, moment: a.payload }),
    lookChanged: (s, a: PayloadAction<Partial<Look>>): DeskState => ({
      ...s,
      look: { ...s.look, ...a.payload },
    }),
    lateShown: (s, a: PayloadAction<number | null>): DeskState => ({ ...s, lateMin: a.payload }),
    alsoMadeSet: (s, a: PayloadAction<DeskState['alsoMade']>): DeskState => ({ ...s, alsoMade: a.payload }),
    sectionFolded: (s, a: PayloadAction<boolean>): DeskState => ({ ...s, folded: a.payload }),
    foldMoved: (s, { payload: { fold, open } }: PayloadAction<{ fold: string; open: boolean }>): DeskState =>
      s.unfolded.includes(fold) === open
        ? s
        : { ...s, unfolded: open ? [...s.unfolded, fold] : s.unfolded.filter((f) => f !== fold) },
    besideKept: (s, a: PayloadAction<Plan | null>): DeskState => ({ ...s, beside: a.payload }),
    batchShown: (s, a: PayloadAction<DeskState['batch']>): DeskState => ({ ...s, batch: a.payload }),
    potShown: (s, a: PayloadAction<PotId | null>): DeskState => ({ ...s, pot: a.payload }),
    noticeGiven: (s, a: PayloadAction<string>): DeskState => ({ ...s, notice: a.payload }),
    noticeRead: (s): DeskState => ({ ...s, notice: null }),
  },
});

export const {
  alsoMadeSet,
  batchShown,
  besideKept,
  deskOpened,
  foldMoved,
  introductionEnded,
  mouldShown,
  potShown,
  pourChosen,
  viewShown,
  momentShown,
  lookChanged,
  lateShown,
  sectionFolded,
  noticeGiven,
  noticeRead,
} = slice.actions;
export const deskReducer = slice.reducer;
