/*
 * What the eye makes of a CIEDE2000 between two soaps. Judgements, no source.
 */

/** A colour that has shifted by more than this shows it. */
export const SHOWS = 2;

/** Layers closer than this read as one, not as a line between two. */
export const READS_AS_LINE = 5;

/** Steps of an ombre smaller than this are not seen at all. */
export const LEAST_STEP = 1;

/** From so much on a step is strong. */
const STRONG = 12;

/** A difference in words: what a maker sees of it. The figure stands behind. */
export function stepWord(difference: number): 'unseen' | 'hardly seen' | 'soft' | 'clear' | 'strong' {
  if (difference < LEAST_STEP) return 'unseen';
  if (difference < SHOWS) return 'hardly seen';
  if (difference < READS_AS_LINE) return 'soft';
  return difference < STRONG ? 'clear' : 'strong';
}
