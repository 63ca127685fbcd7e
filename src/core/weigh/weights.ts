import { superfatOf } from '../batter/lye.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { roundParts, sumAtStep, toStep } from '../units/scaleStep.ts';
import { atomsOf, type Atom } from './atoms.ts';
import { ingredientsOf, type Ingredients, type Weight } from './ingredients.ts';
import type { OmbreWeights } from './ombre/types.ts';
import { colorantsOfGraded, weighOmbres } from './ombre/weighOmbres.ts';

export interface PourWeight {
  readonly stepId: string;
  /** into one mould */
  readonly eachG: Grams;
  /** into all the moulds filled alike */
  readonly massG: Grams;
  readonly colorants: readonly Weight[];
}

/** A portion made ready before the lye: what goes into one pot's own jug. */
export interface Portion {
  /** mixed oils, oil-stage additives apart */
  readonly oilsG: Grams;
  /** lye solution: lye, water and what is dissolved with them */
  readonly solutionG: Grams;
  readonly partLiquids: readonly Weight[];
  readonly additives: readonly Weight[];
  readonly fragranceG: Grams;
}

export interface PotWeight {
  readonly pot: Pot;
  readonly batterG: Grams;
  readonly sharePercent: Percent;
  readonly pours: readonly PourWeight[];
  readonly heldBackG: Grams;
  readonly overageG: Grams;
  readonly colorants: readonly Weight[];
  readonly portion: Portion;
}

/** Every weight of the plan at the resolution of the scales. Parts add up to their wholes. */
export interface Weights extends Ingredients {
  readonly batterG: Grams;
  readonly pots: readonly PotWeight[];
  readonly ombres: readonly OmbreWeights[];
  /** batter that stays in the jugs of the ombres' stocks */
  readonly stockLossG: Grams;
  /** batter of a given batch size that no pour takes */
  readonly spareG: Grams;
  /** superfat of the weighed amounts, after rounding */
  readonly superfatPercent: Percent;
}

const colorantsFor = (plan: Plan, mix: Mix, batterG: Grams, fineStepG: Grams): Weight[] =>
  mix.map((m) => ({
    id: m.colorant,
    name: plan.colorants.find((c) => c.id === m.colorant)?.name ?? m.colorant,
    massG: toStep((m.doseGPerKg * batterG) / 1000, fineStepG),
  }));

/** Split a weighed whole over the pots in proportion to `shares`, at the scale's step. */
const split = (wholeG: Grams, shares: readonly number[], stepG: Grams): Grams[] =>
  roundParts(
    shares.map((s) => s * wholeG),
    stepG,
    wholeG * shares.reduce((a, b) => a + b, 0),
  );

/** Each thing split over the pots: the portions, in the order of `shares`. */
function portionsOf(mixed: Ingredients, shares: readonly number[], stepG: Grams, fineG: Grams): Portion[] {
  const loose = mixed.additives.filter((a) => a.into !== 'lye');
  const oils = split(mixed.oilsG, shares, stepG);
  const solution = split(mixed.solutionG, shares, stepG);
  const fragrance = split(mixed.fragranceG, shares, fineG);
  const liquids = mixed.partLiquids.map((l) => split(l.massG, shares, stepG));
  const additives = loose.map((a) => split(a.massG, shares, fineG));
  return shares.map((_, i) => ({
    oilsG: oils[i] ?? 0,
    solutionG: solution[i] ?? 0,
    partLiquids: mixed.partLiquids.map((l, k) => ({ ...l, massG: liquids[k]?.[i] ?? 0 })),
    additives: loose.map((a, k) => ({ id: a.id, name: a.name, massG: additives[k]?.[i] ?? 0 })),
    fragranceG: fragrance[i] ?? 0,
  }));
}

/** Superfat of what is weighed: the lye on the scale against what the oils on the scale could use. */
function superfatAsWeighed(plan: Plan, recipe: Recipe, mixed: Ingredients): Percent {
  const weighed = recipe.oils.reduce((s, o, i) => s + (mixed.oils[i]?.massG ?? 0) * o.svMgG, 0);
  const perGram = recipe.oils.reduce((s, o) => s + o.share * o.svMgG, 0);
  return weighed > 0
    ? superfatOf((recipe.fullNeed * weighed) / perGram, mixed.lyeG, plan.batter.purityPercent)
    : 0;
}

/** Pots that an ombre is poured from, with the colorants that it gives them. */
function withGraded(
  plan: Plan,
  pots: readonly PotWeight[],
  ombres: readonly OmbreWeights[],
  fineG: Grams,
): PotWeight[] {
  const massOf = (id: string): Grams => pots.find((p) => p.pot.id === id)?.batterG ?? 0;
  const graded = colorantsOfGraded(ombres, massOf, fineG);
  const mixes = new Map(ombres.flatMap((o) => o.layers.map((l) => [l.shade.pourId, l.mix] as const)));
  return pots.map((p) => {
    const colorants = graded.get(p.pot.id);
    if (!colorants) return p;
    return {
      ...p,
      colorants,
      pours: p.pours.map((q) => {
        const mix = mixes.get(q.stepId);
        return mix ? { ...q, colorants: colorantsFor(plan, mix, q.massG, fineG) } : q;
      }),
    };
  });
}

export function weighPlan(
  plan: Plan,
  recipe: Recipe,
  layers: readonly PouredLayer[],
  givenBatchG: Grams | undefined,
): Weights {
  const step = plan.units.scaleStepG;
  // a bench scale finer than the fine one is used for everything
  const fine = Math.min(plan.units.fineStepG, step);
  const atoms = atomsOf(plan, layers, givenBatchG);
  const massOf = (wanted: (a: Atom) => boolean): Grams =>
    sumAtStep(
      atoms.filter(wanted).map((a) => a.massG * a.times),
      step,
    );
  const batterG = massOf(() => true);
  const mixed = ingredientsOf(recipe, batterG, step, fine);
  const masses = plan.pots.map((pot) => massOf((a) => a.pot === pot.id));
  const shares = masses.map((m) => (batterG > 0 ? m / batterG : 0));
  const portions = portionsOf(mixed, shares, step, fine);
  const pots = plan.pots.flatMap((pot, i): PotWeight[] => {
    const portion = portions[i];
    const own = masses[i] ?? 0;
    if (!portion) return [];
    return [
      {
        pot,
        batterG: own,
        sharePercent: (shares[i] ?? 0) * 100,
        pours: atoms
          .filter((a) => a.pot === pot.id && a.kind === 'pour')
          .map((a) => {
            const massG = sumAtStep([a.massG * a.times], step);
            return {
              stepId: a.stepId,
              eachG: a.massG,
              massG,
              colorants: colorantsFor(plan, pot.colorants, massG, fine),
            };
          }),
        heldBackG: massOf((a) => a.pot === pot.id && a.kind === 'top'),
        overageG: massOf((a) => a.pot === pot.id && a.kind === 'overage'),
        colorants: colorantsFor(plan, pot.colorants, own, fine),
        portion,
      },
    ];
  });
  const ombres = weighOmbres(
    plan,
    pots.map((p) => ({ pot: p.pot, batterG: p.batterG, oilsG: p.portion.oilsG, pours: p.pours })),
    fine,
  );
  return {
    ...mixed,
    batterG,
    pots: withGraded(plan, pots, ombres, fine),
    ombres,
    stockLossG: massOf((a) => a.kind === 'loss'),
    spareG: massOf((a) => a.kind === 'spare'),
    superfatPercent: superfatAsWeighed(plan, recipe, mixed),
  };
}
