import type { PouredLayer } from '../fill/layers.ts';
import { poursOfOmbre } from '../ombre/runs.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, sumAtStep, toStep } from '../units/scaleStep.ts';

/** What one pour is to take, at the scale's step. */
export interface PourTarget {
  readonly stepId: string;
  /** into one mould */
  readonly eachG: Grams;
  /** into all the moulds filled alike */
  readonly massG: Grams;
}

/** What one pot is to hold, at the scale's step: its pours, what it holds back, and what is mixed beyond. */
export interface PotTarget {
  readonly pot: Pot;
  readonly pours: readonly PourTarget[];
  readonly heldBackG: Grams;
  readonly overageG: Grams;
  readonly batterG: Grams;
}

export interface Targets {
  readonly pots: readonly PotTarget[];
  /** what is to stay in the jugs of both stocks of an ombre's master blends, by ombre */
  readonly stockLossG: ReadonlyMap<string, Grams>;
  /** batter of a given batch that no pour takes */
  readonly spareG: Grams;
  readonly batterG: Grams;
}

type Round = (massG: Grams, stepG: Grams) => Grams;

function targetsWith(
  plan: Plan,
  layers: readonly PouredLayer[],
  givenG: Grams | undefined,
  round: Round,
): Targets {
  const step = plan.units.scaleStepG;
  const overage = plan.fill.overagePercent / 100;
  const pots = plan.pots.map((pot): PotTarget => {
    const pours = layers
      .filter((l) => l.pour.pot === pot.id)
      .map((l): PourTarget => {
        const eachG = round(l.massG, step);
        return { stepId: l.pour.id, eachG, massG: sumAtStep([eachG * plan.fill.copies], step) };
      });
    const heldBackG = sumAtStep(
      plan.fill.top.filter((t) => t.pot === pot.id).map((t) => round(t.massG, step)),
      step,
    );
    const used = pours.reduce((s, p) => s + p.massG, heldBackG);
    const overageG = round(used * overage, step);
    return { pot, pours, heldBackG, overageG, batterG: sumAtStep([used, overageG], step) };
  });
  const stockLossG = new Map<string, Grams>();
  for (const ombre of plan.ombres) {
    if (ombre.school !== 'master-blends') continue;
    const own = new Set(poursOfOmbre(plan, ombre.id).map((p) => p.pot));
    const drawnG = pots.reduce((s, p) => s + (own.has(p.pot.id) ? p.batterG : 0), 0);
    stockLossG.set(ombre.id, round((drawnG * ombre.stockLossPercent) / 100, step));
  }
  const wantedG = sumAtStep([...pots.map((p) => p.batterG), ...stockLossG.values()], step);
  const spareG = givenG === undefined ? 0 : sumAtStep([toStep(givenG, step) - wantedG], step);
  return { pots, stockLossG, spareG, batterG: sumAtStep([wantedG, spareG], step) };
}

/**
 * What is wanted of every pot, at the scale's step. Each amount is rounded by itself, so that equal pours are equal on the
 * scale; a whole is the sum of its parts. A given batch stays what it is: where its parts, each to the nearest step, would
 * take more than there is, they are rounded down, and what that leaves is spare.
 */
export function targetsOf(
  plan: Plan,
  layers: readonly PouredLayer[],
  givenBatchG: Grams | undefined,
): Targets {
  const nearest = targetsWith(plan, layers, givenBatchG, toStep);
  if (nearest.spareG >= 0) return nearest;
  const down = targetsWith(plan, layers, givenBatchG, downToStep);
  // pours of given masses can ask for more than the batch: then they are the batch
  return down.spareG >= 0 ? down : targetsWith(plan, layers, undefined, toStep);
}

/** Spare batter up to this is what rounding leaves of a given batch, not a batch too large for its pours. */
export const spareFromRoundingG = (plan: Plan): Grams => {
  const pours = plan.steps.filter((s) => s.kind === 'pour').length;
  return plan.units.scaleStepG * (pours * plan.fill.copies + 2 * plan.pots.length + 1);
};
