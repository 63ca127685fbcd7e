import type { StepId } from '../../validate/ids.ts';
import type { HappenedByPour } from '../../batch/happened.ts';
import { dispersionPerG } from '../../colorant/dispersion.ts';
import type { Shade } from '../../ombre/shades.ts';
import type { Ombre } from '../../plan/ombreSchema.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Recipes } from '../../plan/recipes.ts';
import type { Grams } from '../../units/quantity.ts';
import { toStep } from '../../units/scaleStep.ts';
import type { Recipe } from '../../batter/recipe.ts';
import type { Weight } from '../ingredients.ts';
import type { WeighedPot } from './types.ts';

/** Spoons are levelled to an eighth of a teaspoon. */
const SPOON_PARTS = 8;

export interface Bench {
  readonly plan: Plan;
  readonly recipes: Recipes;
  /** of the batch */
  readonly recipe: Recipe;
  readonly ombre: Ombre;
  readonly shades: readonly Shade[];
  readonly pots: ReadonlyMap<string, WeighedPot>;
  readonly fineG: Grams;
  /** what was really done at its layers */
  readonly happened: HappenedByPour;
}

/**
 * Step of an addition: the fine scale's, that of the powder in a step of its diluted stock, or an eighth of a
 * teaspoon.
 */
export function roundAddition({ plan, ombre, fineG }: Bench, colorant: string, massG: Grams): Grams {
  const nature = plan.colorants.find((c) => c.id === colorant)?.nature;
  if (ombre.measure === 'scale' || !nature) return toStep(massG, fineG);
  if (ombre.measure === 'stock') {
    const perStep = fineG / dispersionPerG(nature);
    return Math.round(massG / perStep) * perStep;
  }
  const part = nature.gPerTsp / SPOON_PARTS;
  return Math.round(massG / part) * part;
}

export const weightOf = ({ plan }: Bench, colorant: string, massG: Grams): Weight => ({
  id: colorant,
  name: plan.colorants.find((c) => c.id === colorant)?.name ?? colorant,
  massG,
});

export const pouredIn = (pot: WeighedPot | undefined, pourId: StepId): Grams =>
  pot?.pours.find((p) => p.stepId === pourId)?.massG ?? 0;
