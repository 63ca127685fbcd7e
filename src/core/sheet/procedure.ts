import type { Grams } from '../units/quantity.ts';

export type Chapter =
  | 'safety'
  | 'lay-out'
  | 'lye'
  | 'oils'
  | 'colour'
  | 'emulsify'
  | 'divide'
  | 'pour'
  | 'top'
  | 'finish'
  | 'cut';

export const CHAPTER_TITLES: Readonly<Record<Chapter, string>> = {
  safety: 'Before anything',
  'lay-out': 'Lay out',
  lye: 'Lye solution',
  oils: 'Oils',
  colour: 'Colorants',
  emulsify: 'Emulsify',
  divide: 'Divide',
  pour: 'Pour',
  top: 'Top',
  finish: 'Finish',
  cut: 'Unmould and cut',
};

/** One amount to weigh or to check, at the scale's step. A transfer of the ledger in words. */
export interface Line {
  readonly name: string;
  /** each time */
  readonly massG: Grams;
  /** put on the scale so many times: a pour once for each mould */
  readonly times: number;
  /** weighed on the fine scale */
  readonly fine: boolean;
  /** lye or its solution: never shown as more than it is */
  readonly lye: boolean;
  /** vessels of the ledger */
  readonly from: string;
  readonly to: string;
  readonly pot?: string;
  /** what comes from the supply, as the ledger names it */
  readonly substance?: string;
}

/** One thing to do. A caution stands at the step where the danger is. */
export interface Task {
  /** what it does, as the ledger names it: the same however the rest of the plan changes */
  readonly id: string;
  readonly chapter: Chapter;
  readonly text: string;
  readonly lines: readonly Line[];
  readonly caution?: string;
  /** the plan step this carries out */
  readonly step?: string;
  readonly pot?: string;
  /** what this fills, by mould */
  readonly running?: readonly Running[];
}

/** Batter in one mould after a pour, and what its fill takes in all; and of how many moulds alike. */
export interface Running {
  readonly inMouldG: Grams;
  readonly ofG: Grams;
  readonly moulds: number;
  /** the mould's name, where the plan has more than one */
  readonly name?: string;
}
