import type { Grams, Percent } from '../units/quantity.ts';
import { lyePerOil, naohNeed, naohPerOil, superfatOf } from './lye.ts';
import { midSv, type Oil } from './oil.ts';
import { lineNames, type UsedOil } from './usedOils.ts';
import { waterSchools, type WaterSchools } from './water.ts';

/** A recipe as it is written somewhere: all in g. */
export interface RecipeToCheck {
  readonly oils: readonly { readonly oil: Oil; readonly massG: Grams }[];
  readonly lyeG: Grams;
  readonly waterG: Grams | undefined;
  readonly purityPercent: Percent;
}

/** What is found of a written recipe. */
export interface RecipeCheck {
  readonly oilsG: Grams;
  /** with the oils in the middle and at both ends of their ranges; negative: more lye than they can use */
  readonly superfat: { readonly low: Percent; readonly middle: Percent; readonly high: Percent };
  /** lye beyond what the oils can use at the middle of their ranges, g; 0 where there is none */
  readonly tooMuchG: Grams;
  readonly water: WaterSchools | undefined;
}

const usedOf = ({
  oils,
}: Pick<RecipeToCheck, 'oils'>): { readonly used: UsedOil[]; readonly oilsG: Grams } => {
  const oilsG = oils.reduce((s, o) => s + o.massG, 0);
  const lines = lineNames(oils.map((o) => ({ oil: o.oil.id })));
  const used = oils.map(({ oil, massG }, i) => ({
    line: lines[i] ?? oil.id,
    oil,
    share: massG / oilsG,
    svMgG: midSv(oil),
  }));
  return { oilsG, used };
};

/** Check the lye and the water of a written recipe against its oils. */
export function checkRecipe(recipe: RecipeToCheck): RecipeCheck {
  const { used, oilsG } = usedOf(recipe);
  const { lyeG, waterG, purityPercent } = recipe;
  const at = (svOf: (o: UsedOil) => number): Percent =>
    superfatOf(naohPerOil(used, svOf), lyeG / oilsG, purityPercent);
  const need = (naohPerOil(used) * oilsG * 100) / purityPercent;
  return {
    oilsG,
    superfat: { low: at((o) => o.oil.svLow), middle: at((o) => o.svMgG), high: at((o) => o.oil.svHigh) },
    tooMuchG: Math.max(0, lyeG - need),
    water: waterG === undefined || lyeG <= 0 ? undefined : waterSchools(waterG / oilsG, lyeG / oilsG),
  };
}

/** The lye for these oils and a superfat, g, not rounded. */
export function rightLye(
  recipe: Pick<RecipeToCheck, 'oils' | 'purityPercent'>,
  superfatPercent: Percent,
): Grams {
  const { used, oilsG } = usedOf(recipe);
  return lyePerOil(naohPerOil(used), superfatPercent, recipe.purityPercent) * oilsG;
}

/**
 * How much of an oil, stirred in late, brings a recipe to a superfat, g; 0 where it has that already. Each
 * gram can use naohNeed of pure lye: (lye x purity / (1 - superfat) - need) / naohNeed.
 */
export function lateOilFor(recipe: RecipeToCheck, oil: Oil, superfatPercent: Percent): Grams {
  const { used, oilsG } = usedOf(recipe);
  const pure = (recipe.lyeG * recipe.purityPercent) / 100;
  const wanted = pure / (1 - superfatPercent / 100) - naohPerOil(used) * oilsG;
  return Math.max(0, wanted / naohNeed(midSv(oil)));
}
