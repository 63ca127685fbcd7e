import type { PotId } from '../../validate/ids.ts';
import type { HappenedByPour } from '../../batch/happened.ts';
import type { Recipe } from '../../batter/recipe.ts';
import { shadesOf } from '../../ombre/shades.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Recipes } from '../../plan/recipes.ts';
import type { Grams } from '../../units/quantity.ts';
import { toStep } from '../../units/scaleStep.ts';
import type { Weight } from '../ingredients.ts';
import { blendWeights } from './blendWeights.ts';
import { onePotWeights } from './onePotWeights.ts';
import { separateWeights } from './separateWeights.ts';
import type { OmbreWeights, WeighedPot } from './types.ts';

const SCHOOL = {
  'one-pot': onePotWeights,
  'master-blends': blendWeights,
  'separate-pots': separateWeights,
} as const;

/** What each ombre of the plan takes, weighed by its school. */
export const weighOmbres = (
  plan: Plan,
  recipes: Recipes,
  recipe: Recipe,
  pots: readonly WeighedPot[],
  fineG: Grams,
  happened: HappenedByPour,
): OmbreWeights[] => {
  const byId = new Map(pots.map((p) => [p.pot.id, p] as const));
  return plan.ombres.map((ombre) =>
    SCHOOL[ombre.school]({
      plan,
      recipes,
      recipe,
      ombre,
      shades: shadesOf(plan, ombre),
      pots: byId,
      fineG,
      happened,
    }),
  );
};

/** Colorants as they end up in each graded pot, g: additions, or the pot's own, or its part of the stocks. */
export function colorantsOfGraded(
  ombres: readonly OmbreWeights[],
  massOf: (potId: PotId) => Grams,
  fineG: Grams,
): ReadonlyMap<string, readonly Weight[]> {
  const result = new Map<string, Weight[]>();
  const put = (potId: PotId, list: readonly Weight[]): void => {
    const known = result.get(potId) ?? [];
    const all = [...known, ...list].reduce<Weight[]>((sum, w) => {
      const same = sum.findIndex((x) => x.id === w.id);
      return same < 0 ? [...sum, w] : sum.with(same, { ...w, massG: (sum[same]?.massG ?? 0) + w.massG });
    }, []);
    result.set(
      potId,
      all.map((w) => ({ ...w, massG: Number(w.massG.toFixed(4)) })),
    );
  };
  for (const ombre of ombres) {
    if (ombre.school === 'one-pot')
      for (const pot of ombre.pots)
        put(
          pot.pot.id,
          pot.passes.flatMap((p) => p.colorants),
        );
    if (ombre.school === 'separate-pots') for (const pot of ombre.pots) put(pot.pot.id, pot.colorants);
    if (ombre.school === 'master-blends') {
      const names = [...ombre.first.colorants, ...ombre.last.colorants];
      for (const draw of ombre.draws) {
        const mix = ombre.layers.find((l) => l.pot.id === draw.pot.id)?.mix ?? [];
        put(
          draw.pot.id,
          mix.map((m) => ({
            id: m.colorant,
            name: names.find((n) => n.id === m.colorant)?.name ?? m.colorant,
            massG: toStep((m.doseGPerKg * massOf(draw.pot.id)) / 1000, fineG),
          })),
        );
      }
    }
  }
  return result;
}
