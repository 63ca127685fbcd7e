import type { PotId, StepId } from '../validate/ids.ts';
import type { Grams, Minutes, Percent } from '../units/quantity.ts';
import type { ActId, Chapter } from '../day/act.ts';
import type { Vessel } from '../day/vessel.ts';
import type { Deed } from './deeds.ts';

export const CHAPTER_TITLES: Readonly<Record<Chapter, string>> = {
  safety: 'Before anything',
  'lay-out': 'Lay out',
  lye: 'Lye solution',
  oils: 'Oils',
  colour: 'Colorants',
  emulsify: 'Emulsify',
  divide: 'Divide',
  pour: 'Pour',
  second: 'The batch for piping',
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
  /** the last of several moulds takes what cannot be parted evenly */
  readonly last?: true;
  /** weighed on the fine scale */
  readonly fine: boolean;
  /** lye or its solution: never shown as more than it is */
  readonly lye: boolean;
  readonly from: Vessel;
  readonly to: Vessel;
  readonly pot?: PotId;
  /** what comes from the supply, as the ledger names it */
  readonly substance?: string;
  /** what is weighed as a whole although it is of several things: out of a jar that stands ready */
  readonly parts?: readonly { readonly name: string; readonly massG: Grams }[];
}

/** Batter in one mould after a pour, and what its fill takes in all; and of how many moulds alike. */
export interface Running {
  readonly inMouldG: Grams;
  readonly ofG: Grams;
  readonly moulds: number;
  /** the mould's name, where the plan has more than one */
  readonly name?: string;
}

/** When something is done, as far as is estimated; minutes on the clock of the pour. */
export interface Timing {
  readonly atMin: Minutes;
  /** a wait is over then */
  readonly untilMin?: Minutes;
  /** hands have nothing to do before it until then: what it comes on, or its pots, are too thin */
  readonly notBeforeMin?: Minutes;
  /** what lies below carries it from then on */
  readonly carriedFromMin?: Minutes;
  /** its pots are right for it until then */
  readonly pourableUntilMin?: Minutes;
  /** what lies there is fluid enough for it until then */
  readonly fluidUntilMin?: Minutes;
  /** afterwards it stands in a warm cupboard */
  readonly warm?: true;
}

/** A vessel that has more lye than its oils can use, for a time: dangerous if what cures it is forgotten. */
export interface LyeHeavyNow {
  readonly vessel: Vessel;
  readonly superfatPercent: Percent;
  /** the acts that cure it, or what is drawn of it */
  readonly until: readonly ActId[];
  /** what they bring, and where; absent: nothing does */
  readonly cure?: string;
}

/** One thing to do, as data: its words are made where it is shown. */
export interface Act {
  readonly id: ActId;
  readonly chapter: Chapter;
  readonly deed: Deed;
  readonly lines: readonly Line[];
  /** the plan step this carries out */
  readonly step?: StepId;
  readonly pot?: PotId;
  /** it makes the batch that is piped on top */
  readonly ofSecond?: true;
  readonly timed?: Timing;
  /** vessels that have more lye than their oils can use once it is done */
  readonly lyeHeavy?: readonly LyeHeavyNow[];
  /** what this fills, by mould */
  readonly running?: readonly Running[];
}

/** What is told of an act: nothing of it is said where nothing comes of it. */
export type Told = Pick<Act, 'deed'> & Partial<Pick<Act, 'lines' | 'running'>>;
