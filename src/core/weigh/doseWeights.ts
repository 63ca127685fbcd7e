import type { Moment } from '../batter/moments.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import { doseKey, SUBSTANCE } from './substances.ts';

/** One dose for all of a batch, as it is weighed. */
export interface DoseWeight {
  readonly key: string;
  readonly substance: string;
  readonly scent: boolean;
  readonly moment: Moment;
  readonly massG: Grams;
}

/** What `oilsG` of the recipe's oils take of every dose of a recipe. */
export const doseWeights = (recipe: Recipe, oilsG: Grams, fineG: Grams): readonly DoseWeight[] =>
  recipe.doses.map((d) => ({
    key: doseKey(d),
    substance: SUBSTANCE.addition(d.addition),
    scent: d.addition.kind === 'fragrance',
    moment: d.dose.moment,
    massG: toStep(d.perOil * oilsG, fineG),
  }));
