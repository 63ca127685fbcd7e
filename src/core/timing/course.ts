import type { Meets } from '../setting/blur.ts';
import type { Minutes, Stage } from '../units/quantity.ts';

/** What a pair of hands does. */
export type Does =
  | 'scent'
  | 'divide'
  | 'make'
  | 'colour'
  | 'pour'
  | 'wait'
  | 'tilt'
  | 'scrape'
  | 'stroke'
  | 'wire'
  | 'line'
  | 'pull'
  | 'ridges'
  | 'top'
  | 'pipe';

/** What can be otherwise than it is taken to be: a factor on rates, log-normal. */
export interface Doubt {
  readonly name: string;
  /** standard deviation of its logarithm */
  readonly sd: number;
}

/** Batter in a jug; its place in the list is its number. */
export interface CoursePot {
  /** how fast it thickens while nothing quickens it, stages a minute */
  readonly perMinute: number;
  /**
   * the doubt of its recipe's rate, by its place in the list of doubts, and of what its temperature does to
   * that
   */
  readonly doubt: number;
  readonly warmth?: number;
  /** there from the first minute; otherwise an act makes it */
  readonly there: boolean;
  readonly start: Stage;
}

/** What quickens batter, or slows it: from the moment it is stirred in. */
export interface Quickens {
  readonly factor: number;
  /** by its place in the list of doubts */
  readonly doubt: number;
  /** a part of the dose that the doubt is about: its logarithm counts so much; 1 when absent */
  readonly share?: number;
}

/** What is done to a pot right before it is poured, while the layer below is still waited for. */
export interface Prepares {
  /** one of the act's, by its number */
  readonly pot: number;
  readonly minutes: Minutes;
  /** by stirring, stages */
  readonly adds: Stage;
  readonly quickens: readonly Quickens[];
  /** it is blended on to this stage */
  readonly blendTo?: Stage;
  /** stirred loose: thinner for a short while */
  readonly loosens?: true;
  /** it is made only now, at its starting stage: a portion that gets its lye */
  readonly makes?: true;
}

/**
 * What is poured is weighed into a cup right before, and something stirred into it there: it thickens in the
 * cup and in its layers, not in the jug.
 */
export interface Cup {
  readonly quickens: readonly Quickens[];
  readonly minutes: Minutes;
  /** by stirring, stages */
  readonly adds: Stage;
}

/**
 * One thing after another, by one pair of hands. Layers are numbered in the order they are poured, each in
 * its mould and compartment; an act names those that it is about.
 */
export interface CourseAct {
  readonly key: string;
  readonly does: Does;
  /** the hands are busy so long */
  readonly minutes: Minutes;
  /** pots by their numbers */
  readonly pots: readonly number[];
  /** not before so long after another act, by its place, is done */
  readonly rest?: { readonly minutes: Minutes; readonly after: number };
  /** kept at this minute whatever the batter does; later where the hands are not free by then */
  readonly at?: Minutes;
  /**
   * these layers have to bear: it waits until they bear as `stage`, or for nothing where that is absent;
   * below `breaks` it goes wrong
   */
  readonly carried?: {
    readonly by: readonly number[];
    readonly stage?: Stage;
    readonly breaks: Stage;
    /** how the pour lands that they bear */
    readonly meets?: Meets;
  };
  /** these layers have to flow as something between the two when it begins */
  readonly fluid?: { readonly layers: readonly number[]; readonly least: Stage; readonly most: Stage };
  /** its pots have to be so thick */
  readonly window?: { readonly least: Stage; readonly most: Stage };
  /**
   * after this share of its minutes its pots are drawn on for the last time: 0 for one pour, near 1 for many
   * rounds
   */
  readonly lastAt?: number;
  readonly prepares?: readonly Prepares[];
  /** its pots are made, at their starting stage */
  readonly makes?: true;
  /** its pots are so much thicker after it, by being stirred */
  readonly adds?: Stage;
  readonly quickens?: readonly Quickens[];
  readonly cup?: Cup;
  /** the layers that it makes */
  readonly lays?: readonly number[];
  /** the layers that it moves: they flow again, and rest from its end on */
  readonly moves?: readonly number[];
}

export interface Course {
  readonly pots: readonly CoursePot[];
  readonly acts: readonly CourseAct[];
  readonly doubts: readonly Doubt[];
  readonly layers: number;
  /** poured layers thicken so much faster: in a warm cupboard; 1 on the bench */
  readonly inMould: number;
  /**
   * how likely it is that fat sets in the cool batter: it looks thick then and is not, and none of it holds
   */
  readonly falseTrace?: number;
  /**
   * what lies still doubles its strength in so long, and the doubt of that by its place; absent: it bears as
   * it flows
   */
  readonly rest?: { readonly tcMin: Minutes; readonly doubt: number };
}
