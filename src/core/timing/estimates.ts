import type { Minutes, Stage } from '../units/quantity.ts';

/** Blending by the stick adds so many stages a second; with it 20 s are a stage. An estimate. */
export const BLENDS_PER_SECOND = 0.05;

/** Blending is not exact: standard deviation of the stage that it ends at. An estimate. */
export const BLEND_SD: Stage = 0.25;

/** A pot that was blended on thickens so much faster afterwards. An estimate. */
export const BLENDED_FACTOR = 1.15;

/** How well "it carries" is told by eye: standard deviation in stages. An estimate. */
export const JUDGED_SD: Stage = 0.2;

/** Stirring takes so much off a pot for a while, and the batter has it back within so long. Estimates. */
export const LOOSENED: Stage = 0.5;
export const BACK_AFTER_MIN: Minutes = 2;

/** In a warm cupboard, some 6 C warmer than the bench, what is poured thickens so much faster. An estimate. */
export const WARM_FACTOR = 1.5;

/**
 * A layer that is thinner by this than what carries is broken through; by less it is dented: a stream of two and a half times the pressure that
 * the layer bears. A judgement, no source.
 */
export const BREAKS_BELOW: Stage = Math.log10(2.5) / 0.7;

/** A pot that is thinner by this than its technique wants fails it. A judgement, no source. */
export const WASHES_BELOW: Stage = 0.3;

/** What a technique takes is "about" so thick: a pot over it by no more than this is still taken. Fitted to the odds that makers find common; no source. */
export const ABOUT: Stage = 0.1;

/** Batter that lies still doubles its strength in so long, and how far that is out: standard deviation of its logarithm. Estimates: 1 to 4 min. */
export const REST_DOUBLES_MIN: Minutes = 2;
export const REST_SD = 0.5;

/** The doubt of it. */
export const REST = 'rest';
