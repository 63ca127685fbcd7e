import { dosesPerOil, type Recipe } from './recipe.ts';

/**
 * Share of its water that a bar has lost by the end of cure: an estimate (common practice, no source),
 * used on the cautious side: the drier the bar, the larger the share of fragrance in it.
 */
export const WATER_LOST_IN_CURE = 0.7;

/** g of cured bar per g of oils, an estimate. */
export const curedPerOil = (recipe: Recipe): number =>
  recipe.batterPerOil - recipe.water * WATER_LOST_IN_CURE;

/** A fragrance in what a recipe makes, g/g oils. */
export const fragrancePerOil = (recipe: Recipe, fragrance: string): number =>
  dosesPerOil(recipe, ({ addition }) => addition.kind === 'fragrance' && addition.id === fragrance);

/**
 * A fragrance in the finished (cured) bar, percent by mass, an estimate on the cautious side: colorants are
 * left out.
 */
export const fragranceInBarPercent = (recipe: Recipe, fragrance: string): number =>
  (fragrancePerOil(recipe, fragrance) / curedPerOil(recipe)) * 100;

/** The fragrance, in percent of oils, that lands exactly on a limit given in percent of the finished bar. */
export function fragranceForLimit(recipe: Recipe, fragrance: string, limitPercent: number): number {
  const without = curedPerOil(recipe) - fragrancePerOil(recipe, fragrance);
  const limit = limitPercent / 100;
  return ((limit * without) / (1 - limit)) * 100;
}
