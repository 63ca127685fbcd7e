import { depositKey, potNamed } from '../plan/sources.ts';
import type { PotId } from '../validate/ids.ts';
import { NOMINAL_DENSITY, type Recipe } from '../batter/recipe.ts';
import { CARRIER_DENSITY, carrierPerG, POWDER_DENSITY, UNDESCRIBED_DENSITY } from '../colorant/dispersion.ts';
import { gradedMixes } from '../ombre/coloursOf.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Pour } from '../plan/stepSchema.ts';

/** What one gram of a coloured batter is made of. */
export interface Makeup {
  readonly powder: number;
  /** oil that colorants are dispersed in: part of `oils` */
  readonly carrierOil: number;
  /** water, glycerine or alcohol that colorants are dispersed in */
  readonly carrierOther: number;
  /** the recipe's oils in it, those of the carrier included, an oil stirred in late not */
  readonly oils: number;
  readonly densityGMl: number;
}

/** More colorant and carrier than this part of a pot is no batter any more. A judgement, no source. */
export const MOST_COLORANT = 0.5;

/**
 * One gram of batter with a mix of colorants in it. The recipe makes `batterPerOil` of batter from each gram
 * of its oils; oil that a colorant is dispersed in is one of those oils; powder and other carriers come on
 * top. So 1 = oils x batterPerOil + powder + other carriers, and volumes add up. Never less than a twentieth
 * of batter: what has so much colorant is refused elsewhere.
 */
export function makeupOf(plan: Pick<Plan, 'colorants'>, recipe: Recipe | undefined, mix: Mix): Makeup {
  let powder = 0;
  let carrierOil = 0;
  let carrierOther = 0;
  let volume = 0;
  for (const { colorant, doseGPerKg } of mix) {
    const part = doseGPerKg / 1000;
    const nature = plan.colorants.find((c) => c.id === colorant)?.nature;
    const carrier = part * carrierPerG(nature);
    powder += part;
    volume += part / (nature ? POWDER_DENSITY[nature.kind] : UNDESCRIBED_DENSITY);
    if (nature?.carrier === 'oil') carrierOil += carrier;
    else {
      carrierOther += carrier;
      if (nature) volume += carrier / CARRIER_DENSITY[nature.carrier];
    }
  }
  const batter = Math.max(0.05, 1 - powder - carrierOther);
  volume += batter / (recipe?.densityGMl ?? NOMINAL_DENSITY);
  return {
    powder,
    carrierOil,
    carrierOther,
    oils: batter / (recipe?.batterPerOil ?? 1.45),
    densityGMl: (batter + powder + carrierOther) / volume,
  };
}

/** The part of a pot that would be colorant and carrier, 0..1 and more. */
export const colorantPart = (makeup: Makeup): number =>
  makeup.powder + makeup.carrierOil + makeup.carrierOther;

/**
 * What every pour of a plan is made of, by its pot or by its place in its ombre; `stirred` are mixes of pots
 * that something else was stirred into.
 */
export function makeupsOf(
  plan: Plan,
  recipes: Recipes,
  stirred: ReadonlyMap<string, Mix>,
): (pour: Pour, pot: PotId) => Makeup {
  const graded = gradedMixes(plan);
  const known = new Map<Mix, Map<Recipe | undefined, Makeup>>();
  return (pour, pot) => {
    const mix =
      stirred.get(depositKey(pour, pot)) ?? graded.get(pour.id) ?? potNamed(plan, pot)?.colorants ?? [];
    const recipe = recipes.ofPour(pour.id, pot);
    const byRecipe = known.get(mix) ?? new Map<Recipe | undefined, Makeup>();
    known.set(mix, byRecipe);
    const makeup = byRecipe.get(recipe) ?? makeupOf(plan, recipe, mix);
    byRecipe.set(recipe, makeup);
    return makeup;
  };
}
