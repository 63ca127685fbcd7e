import type { Act } from '../procedure/act.ts';
import type { Computed } from '../computed/compute.ts';
import type { Grams, Minutes } from '../units/quantity.ts';
import { wayOf } from '../ways/ways.ts';

/** How fast two jugs run at once, so that neither edge runs ahead. */
export interface Pace {
  readonly massG: Grams;
  /** into the first wall's side, and into the other one */
  readonly firstG: Grams;
  readonly secondG: Grams;
  readonly minutes: Minutes;
  readonly gramsPerSecond: Grams;
}

/** The pace of a pour down two walls at once; undefined for any other. */
export function paceOf({ plan, clock }: Pick<Computed, 'plan' | 'clock'>, act: Act): Pace | undefined {
  const step = plan.steps.find((s) => s.id === act.step);
  const place = act.deed.does === 'pour' && step?.kind === 'pour' ? step.pattern?.place : undefined;
  const percent = place && wayOf(place).firstJugPercent?.(place);
  const timed = clock?.acts.find((t) => t.about.of.includes(act.id));
  if (percent === undefined || !timed) return undefined;
  const massG = act.lines.reduce((s, l) => s + l.massG, 0);
  const minutes = timed.endMin - timed.startMin;
  const firstG = (massG * percent) / 100;
  return {
    massG,
    firstG,
    secondG: massG - firstG,
    minutes,
    gramsPerSecond: massG / Math.max(1, minutes * 60),
  };
}
