/*
 * What the eye makes of a CIEDE2000 between two soaps. Judgements, no source.
 */

/** A colour that has shifted by more than this shows it. */
export const SHOWS = 2;

/** Layers closer than this read as one, not as a line between two. */
export const READS_AS_LINE = 5;

/** Steps of an ombre smaller than this are not seen at all. */
export const LEAST_STEP = 1;

/** A difference in words: what a maker sees of it. The figure stands behind. */
export function seenAs(difference: number): 'no' | 'a hardly seen' | 'a soft' | 'a clear' | 'a strong' {
  if (difference < LEAST_STEP) return 'no';
  if (difference < SHOWS) return 'a hardly seen';
  if (difference < READS_AS_LINE) return 'a soft';
  return difference < 12 ? 'a clear' : 'a strong';
}
