import type { Oil } from '../batter/oil.ts';
import { recipeOf } from '../batter/recipe.ts';
import type { RecipeOil } from '../batter/schema.ts';
import { waterAs, waterSchools } from '../batter/water.ts';
import type { Plan } from '../plan/planSchema.ts';
import { fail, ok, type Result } from '../result/result.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { adoptLye } from './batter.ts';

/** A written recipe with every oil known. */
export interface KnownRecipe {
  readonly oils: readonly { readonly oil: Oil; readonly share: number }[];
  /** of all oils, where weights say so */
  readonly totalG: Grams | undefined;
  readonly lyeG: Grams | undefined;
  readonly waterG: Grams | undefined;
  readonly superfatPercent: Percent | undefined;
}

/** Percents to six digits that add up to a hundred: a written weight is found again from them. */
function percentsOf(recipe: KnownRecipe): RecipeOil[] {
  const sums = new Map<string, number>();
  for (const { oil, share } of recipe.oils) sums.set(oil.id, (sums.get(oil.id) ?? 0) + share);
  return [...sums].map(([oil, share]) => ({ oil, percent: Number((share * 100).toPrecision(12)) }));
}

/**
 * Take a written recipe over: its oils, the superfat that its lye leaves or that it names, its water, and,
 * where it is wanted and known, its size. Refused, with the number, where its lye is more than its oils can
 * use ('superfat-negative').
 */
export function takeRecipe(plan: Plan, recipe: KnownRecipe, asMuchAsWritten: boolean): Result<Plan> {
  const oils = percentsOf(recipe);
  if (oils.length === 0) return fail('no-oils', 'There is no oil in it yet');
  const { totalG, lyeG, waterG } = recipe;
  const withOils: Plan = {
    ...plan,
    batter: { ...plan.batter, oils, superfatPercent: recipe.superfatPercent ?? plan.batter.superfatPercent },
  };
  const withLye =
    lyeG !== undefined && totalG !== undefined ? adoptLye(withOils, lyeG, totalG) : ok(withOils);
  if (!withLye.ok) return withLye;
  const own = recipeOf(withLye.value.batter);
  const perOil = totalG !== undefined && lyeG !== undefined ? lyeG / totalG : own?.lye;
  const wet: Plan =
    waterG === undefined || totalG === undefined || perOil === undefined || perOil <= 0
      ? withLye.value
      : {
          ...withLye.value,
          batter: {
            ...withLye.value.batter,
            water: waterAs(waterSchools(waterG / totalG, perOil), plan.batter.water.school),
          },
        };
  return ok(
    asMuchAsWritten && totalG !== undefined
      ? { ...wet, fill: { ...wet.fill, to: { kind: 'oils', massG: Number(totalG.toPrecision(12)) } } }
      : wet,
  );
}
