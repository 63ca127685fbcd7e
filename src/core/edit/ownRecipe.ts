import type { PotId } from '../validate/ids.ts';
import { recipeOf } from '../batter/recipe.ts';
import type { RecipeOil, Water } from '../batter/schema.ts';
import { waterAs, type WaterSchools } from '../batter/water.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { batterIn } from '../plan/recipes.ts';

const mapPot = (plan: Plan, potId: PotId, change: (pot: Pot) => Pot): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => (p.id === potId ? change(p) : p)),
});

function withOwn(pot: Pot, own: NonNullable<Pot['own']>): Pot {
  const { own: _own, ...rest } = pot;
  return own.oils === undefined && own.water === undefined ? rest : { ...rest, own };
}

/** Oils of a pot's own, in place of the recipe's; undefined: the recipe's again. */
export const setOwnOils = (plan: Plan, potId: PotId, oils: readonly RecipeOil[] | undefined): Plan =>
  mapPot(plan, potId, (pot) => {
    const { oils: _oils, ...rest } = pot.own ?? {};
    return withOwn(pot, oils === undefined ? rest : { ...rest, oils: [...oils] });
  });

/** Water of a pot's own; undefined: the recipe's again. */
export const setOwnWater = (plan: Plan, potId: PotId, water: Water | undefined): Plan =>
  mapPot(plan, potId, (pot) => {
    const { water: _water, ...rest } = pot.own ?? {};
    return withOwn(pot, water === undefined ? rest : { ...rest, water });
  });

/** The same water of a pot said in another school. */
export function waterIn(plan: Plan, pot: Pot, school: Water['school']): Water {
  const schools: WaterSchools | undefined = recipeOf(batterIn(plan, pot))?.schools;
  return schools ? waterAs(schools, school) : (pot.own?.water ?? plan.batter.water);
}
