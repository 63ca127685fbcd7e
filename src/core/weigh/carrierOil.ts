import type { Recipe } from '../batter/recipe.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';

/**
 * Which of the recipe's oils the colorants are dispersed in, by its line, and how much of each, at the fine
 * scale's step: liquid ones first, then those there is most of. No oil gives more than it has (`oilsG`: all
 * oils of the batch); what none can give is left out.
 */
export function carrierOils(
  recipe: Recipe,
  oilsG: Grams,
  wantedG: Grams,
  fineG: Grams,
): ReadonlyMap<string, Grams> {
  const order = recipe.oils.toSorted(
    (a, b) => Number(b.oil.liquid ?? false) - Number(a.oil.liquid ?? false) || b.share - a.share,
  );
  const taken = new Map<string, Grams>();
  let left = wantedG;
  for (const { line, share } of order) {
    const massG = toStep(Math.min(left, share * oilsG), fineG);
    if (massG <= 0) break;
    taken.set(line, massG);
    left -= massG;
  }
  return taken;
}
