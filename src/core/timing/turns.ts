import type { Minutes, Stage } from '../units/quantity.ts';

/** What can be wrong with an act, as bits. */
export const FAILS = { breaks: 1, tooThick: 2, tooThin: 4, setAlready: 8 } as const;

/** How one time of pouring turns out: all as it is taken to be, where nothing is given. */
export interface Turns {
  /** ln factors of the course's doubts, by place, and of each pot's own rate */
  readonly doubts?: ArrayLike<number>;
  readonly jugs?: ArrayLike<number>;
  /** by how many stages "it carries" is misjudged at an act, by the act's place */
  readonly judged?: ArrayLike<number>;
  /** by how many stages blending misses at an act */
  readonly blended?: ArrayLike<number>;
  /** by how many stages what lies below is as good as thicker, for how an act lands on it */
  readonly landed?: ArrayLike<number>;
  /** how far beyond a window's end an act still holds, 0 to 1 of what it ever does; 1 when absent */
  readonly soft?: ArrayLike<number>;
  /** by how many stages batter misses the stage that it is begun at */
  readonly begun?: Stage;
  /**
   * the main batch thickens so many times as fast, and begins at another stage: for trying temperatures and
   * starts
   */
  readonly faster?: number;
  readonly from?: Stage;
  /** hands take so many times as long; 1 when absent */
  readonly pace?: number;
  /** every act begins at this minute, kept by the clock, or when hands are free */
  readonly kept?: ArrayLike<number>;
  /** hands were done with an act at this minute, by its place; NaN where it is still to come */
  readonly ended?: ArrayLike<number>;
  /** what is still to come begins no sooner */
  readonly now?: Minutes;
  /** how thick batter was seen to be: from then on it goes on from there; in the order of their minutes */
  readonly seen?: readonly Seen[];
}

/** A pot, or a layer as it bears, by its number: so thick at a minute. */
export interface Seen {
  readonly of: 'pots' | 'layers';
  readonly nth: number;
  readonly min: Minutes;
  readonly stage: Stage;
}
