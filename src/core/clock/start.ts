import { wayOf } from '../ways/ways.ts';
import { isSecond } from '../plan/second.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Stage } from '../units/quantity.ts';

/** Layers begin at light; what has to spread, a little past emulsion. Common practice, no source. */
const LAYERS: Stage = 1;
const SPREADS: Stage = 0.4;

/** What is poured thinner than this has to spread. */
const THIN: Stage = 1.5;

/** So far within a window of its own thinnest way. A judgement. */
const INSIDE: Stage = 0.1;

/** What is piped is blended to about here before it is coloured. A judgement, no source. */
export const PIPED: Stage = 1.5;

/**
 * The stage at which the batter is divided, minute 0: as the plan says, or as its thinnest way of pouring
 * wants it; that of a second batch, for piping.
 */
export function startStage(plan: Pick<Plan, 'clock' | 'steps' | 'mould'>): Stage {
  if (isSecond(plan)) return PIPED;
  const { clock, steps } = plan;
  if (clock.start !== undefined) return clock.start;
  const windows = steps.flatMap((s) =>
    s.kind === 'pour' && s.pattern ? [wayOf(s.pattern.place).window(s.landing.fallMm)] : [],
  );
  const thin = windows.filter((w) => w.most < THIN);
  if (thin.length === 0 && !steps.some((s) => s.kind === 'ridges')) return LAYERS;
  return Math.max(SPREADS, ...thin.map((w) => w.least + INSIDE));
}
