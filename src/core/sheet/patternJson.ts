import type { ScaledLayer } from '../weigh/scaled.ts';
import type { Plan } from '../plan/planSchema.ts';
import { depositKey } from '../plan/sources.ts';
import type { Pour } from '../plan/stepSchema.ts';
import { roundsOf } from '../weigh/rounds.ts';
import type { PourWeight } from '../weigh/weights.ts';
import { snaked } from './snaked.ts';

/** A pour that pushes others aside: where, of what, and round by round into one mould, g. */
export function patternJson(
  { units }: Pick<Plan, 'units'>,
  pour: Pour,
  layer: ScaledLayer,
  weights: ReadonlyMap<string, PourWeight>,
): object {
  const eachG = new Map(layer.parts.map((p) => [p.pot.id, p.pouredG] as const));
  const rounds = roundsOf(pour, (pot) => eachG.get(pot) ?? 0, units.scaleStepG);
  return {
    place: pour.pattern?.place,
    fall_mm: pour.landing.fallMm,
    from: layer.parts.map((p) => ({
      pot: p.pot.id,
      share_percent: p.share * 100,
      each_mould_g: p.pouredG,
      mass_g: weights.get(depositKey(pour, p.pot.id))?.massG ?? null,
      superfat_percent: weights.get(depositKey(pour, p.pot.id))?.superfatPercent ?? null,
    })),
    rounds: rounds.map((round) => round.map((t) => snaked(t, 'pot', 'massG', 'pouredG'))),
  };
}
