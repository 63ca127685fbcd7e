import type { Minutes, Stage } from '../units/quantity.ts';

/**
 * To blend a pot on to a stage, however far that is: the stick thickens by one to two stages and a half
 * within 10 to 60 s. Common practice, no source.
 */
export const BLEND_MIN: Minutes = 0.4;

/** Blending is not exact: standard deviation of the stage that it ends at. An estimate. */
export const BLEND_SD: Stage = 0.25;

/**
 * So is where the whole batch is stopped blending: words for stages are good to some four tenths. An
 * estimate.
 */
export const START_SD: Stage = 0.3;

/**
 * Hands are now quicker, now slower, and each jug thickens a little otherwise, by its colour and its warmth:
 * standard deviations of logarithms. Estimates.
 */
export const HANDS_SD = 0.25;
export const JUG_SD = 0.2;

/** A pot that was blended on thickens so much faster afterwards. An estimate. */
export const BLENDED_FACTOR = 1.15;

/** How well "it carries" is told by eye: standard deviation in stages. An estimate. */
export const JUDGED_SD: Stage = 0.2;

/**
 * No pour lands quite as softly as the one before: as if what is below were thicker or thinner by this. A
 * judgement: one edge in four is a little broken where it just carries.
 */
export const LANDS_SD: Stage = 0.3;

/** Stirring takes so much off a pot for a while, and the batter has it back within so long. Estimates. */
export const LOOSENED: Stage = 0.5;
export const BACK_AFTER_MIN: Minutes = 2;

/**
 * Slow batter stays near emulsion for some five minutes before anything is seen: so many stages of its line.
 * An estimate.
 */
export const LAGS: Stage = 0.225;

/**
 * In a warm cupboard, some 6 C warmer than the bench, what is poured thickens so much faster. An estimate.
 */
export const WARM_FACTOR = 1.5;

/** A window is doubtful beyond its end, and fails so far beyond it. A judgement. */
export const SOFT: Stage = 0.5;

/**
 * Batter that lies still doubles its strength in so long, and how far that is out: standard deviation of its
 * logarithm. Estimates: 1 to 4 min.
 */
export const REST_DOUBLES_MIN: Minutes = 2;
export const REST_SD = 0.5;

/** The doubt of it, and that of what a batter's temperature does to its rate. */
export const REST = 'rest';
export const WARMTH = 'warmth';
