import { superfatOf } from '../batter/lye.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, toStep } from '../units/scaleStep.ts';
import type { PouredLayer } from '../fill/layers.ts';

/** A thing to put on the scale. */
export interface Weight {
  readonly id: string;
  readonly name: string;
  readonly massG: Grams;
}

export interface PourWeight {
  readonly stepId: string;
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
export interface Weights {
  readonly batterG: Grams;
  readonly oilsG: Grams;
  readonly oils: readonly Weight[];
  /** rounded down to the scale's step, never up */
  readonly lyeG: Grams;
  readonly waterG: Grams;
  readonly partLiquids: readonly Weight[];
  readonly additives: readonly (Weight & { readonly into: 'lye' | 'oils' | 'trace' })[];
  readonly fragranceG: Grams;
  readonly solutionG: Grams;
  readonly pots: readonly PotWeight[];
  /** batter of a given batch size that no pour takes */
  readonly spareG: Grams;
  /** superfat of the weighed amounts, after rounding */
  readonly superfatPercent: Percent;
}

interface Atom {
  readonly pot: string;
  readonly kind: 'pour' | 'top' | 'overage' | 'spare';
  readonly stepId: string;
  readonly massG: Grams;
}

/** Everything that is weighed out of the batch, unrounded: pours, what is held back, overage, spare. */
function atomsOf(plan: Plan, layers: readonly PouredLayer[], givenBatchG: Grams | undefined): Atom[] {
  const atoms: Atom[] = [
    ...layers.map((l) => ({ pot: l.pour.pot, kind: 'pour' as const, stepId: l.pour.id, massG: l.massG })),
    ...plan.fill.top.map((t) => ({ pot: t.pot, kind: 'top' as const, stepId: '', massG: t.massG })),
  ];
  const overage = plan.fill.overagePercent / 100;
  for (const pot of plan.pots) {
    const used = atoms.filter((a) => a.pot === pot.id).reduce((s, a) => s + a.massG, 0);
    atoms.push({ pot: pot.id, kind: 'overage', stepId: '', massG: used * overage });
  }
  const total = atoms.reduce((s, a) => s + a.massG, 0);
  const spare = (givenBatchG ?? total) - total;
  if (spare > 1e-6) atoms.push({ pot: '', kind: 'spare', stepId: '', massG: spare });
  return atoms;
}

const colorantsFor = (pot: Pot, batterG: Grams, fineStepG: Grams): Weight[] =>
  pot.colorants.map((c) => ({
    id: c.id,
    name: c.name,
    massG: toStep((c.doseGPerKg * batterG) / 1000, fineStepG),
  }));

/** Split a weighed whole over the pots in proportion to `shares`, at the scale's step. */
const split = (wholeG: Grams, shares: readonly number[], stepG: Grams): Grams[] =>
  roundParts(
    shares.map((s) => s * wholeG),
    stepG,
    wholeG * shares.reduce((a, b) => a + b, 0),
  );

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
  const rounded = roundParts(
    atoms.map((a) => a.massG),
    step,
  );
  const batterG = sumAtStep(rounded, step);

  const oilsRaw = atoms.reduce((s, a) => s + a.massG, 0) / recipe.batterPerOil;
  const lyeG = downToStep(recipe.lye * oilsRaw, step);
  const additives = recipe.additives.map((a) => ({
    id: a.id,
    name: a.name,
    into: a.into,
    massG: toStep(a.perOil * oilsRaw, fine),
  }));
  const fragranceG = toStep(recipe.fragrance * oilsRaw, fine);
  const finesG = additives.reduce((s, a) => s + a.massG, 0) + fragranceG;
  const main = roundParts(
    [
      ...recipe.oils.map((o) => o.share * oilsRaw),
      recipe.plainWater * oilsRaw,
      ...recipe.partLiquids.map((l) => l.perOil * oilsRaw),
    ],
    step,
    Math.max(0, batterG - lyeG - finesG),
  );
  const oils = recipe.oils.map((o, i) => ({ id: o.oil.id, name: o.oil.name, massG: main[i] ?? 0 }));
  const waterG = main[oils.length] ?? 0;
  const partLiquids = recipe.partLiquids.map((l, i) => ({
    id: l.id,
    name: l.name,
    massG: main[oils.length + 1 + i] ?? 0,
  }));
  const oilsG = sumAtStep(
    oils.map((o) => o.massG),
    step,
  );
  const dissolved = additives.filter((a) => a.into === 'lye').reduce((s, a) => s + a.massG, 0);
  const solutionG = sumAtStep([lyeG, waterG, dissolved], fine);

  const potMass = (pot: Pot, kind?: Atom['kind']): Grams =>
    sumAtStep(
      atoms.flatMap((a, i) => (a.pot === pot.id && (!kind || a.kind === kind) ? [rounded[i] ?? 0] : [])),
      step,
    );
  const masses = plan.pots.map((p) => potMass(p));
  const shares = masses.map((m) => (batterG > 0 ? m / batterG : 0));
  const oilParts = split(oilsG, shares, step);
  const solutionParts = split(solutionG, shares, step);
  const liquidParts = partLiquids.map((l) => split(l.massG, shares, step));
  const loose = additives.filter((a) => a.into !== 'lye');
  const looseParts = loose.map((a) => split(a.massG, shares, fine));
  const fragranceParts = split(fragranceG, shares, fine);

  const pots = plan.pots.map((pot, i): PotWeight => ({
    pot,
    batterG: masses[i] ?? 0,
    sharePercent: (shares[i] ?? 0) * 100,
    pours: atoms.flatMap((a, k) => {
      if (a.pot !== pot.id || a.kind !== 'pour') return [];
      const massG = rounded[k] ?? 0;
      return [{ stepId: a.stepId, massG, colorants: colorantsFor(pot, massG, fine) }];
    }),
    heldBackG: potMass(pot, 'top'),
    overageG: potMass(pot, 'overage'),
    colorants: colorantsFor(pot, masses[i] ?? 0, fine),
    portion: {
      oilsG: oilParts[i] ?? 0,
      solutionG: solutionParts[i] ?? 0,
      partLiquids: partLiquids.map((l, k) => ({ ...l, massG: liquidParts[k]?.[i] ?? 0 })),
      additives: loose.map((a, k) => ({ id: a.id, name: a.name, massG: looseParts[k]?.[i] ?? 0 })),
      fragranceG: fragranceParts[i] ?? 0,
    },
  }));

  const spareG = sumAtStep(
    atoms.flatMap((a, i) => (a.kind === 'spare' ? [rounded[i] ?? 0] : [])),
    step,
  );
  const need = recipe.oils.reduce((s, o, i) => s + (oils[i]?.massG ?? 0) * o.svMgG, 0);
  const rawNeed = recipe.oils.reduce((s, o) => s + o.share * o.svMgG, 0);
  const superfatPercent =
    need > 0 ? superfatOf((recipe.fullNeed * need) / rawNeed, lyeG, plan.batter.purityPercent) : 0;
  return {
    batterG,
    oilsG,
    oils,
    lyeG,
    waterG,
    partLiquids,
    additives,
    fragranceG,
    solutionG,
    pots,
    spareG,
    superfatPercent,
  };
}
