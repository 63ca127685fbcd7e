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

/** One amount to weigh or to check, at the scale's step. */
export interface Line {
  readonly name: string;
  readonly massG: Grams;
  /** weighed on the fine scale */
  readonly fine: boolean;
  readonly pot?: string;
}

/** One thing to do. A caution stands at the step where the danger is. */
export interface Task {
  readonly id: string;
  readonly chapter: Chapter;
  readonly text: string;
  readonly lines: readonly Line[];
  readonly caution?: string;
  /** the plan step this carries out */
  readonly step?: string;
  readonly pot?: string;
  /** batter in the mould after this, and what the fill takes in all */
  readonly running?: { readonly inMouldG: Grams; readonly ofG: Grams };
}
