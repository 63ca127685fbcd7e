import { setsFirst, type Setting } from '../batter/setsAt.ts';
import type { Plan } from '../plan/planSchema.ts';

/**
 * An oil that sets at the temperature that the oils are mixed at: that looks like trace and is none, so that nothing which rests on how batter
 * thickens says anything then. The one place where it is asked: what is warned of, what is offered and what odds are told go by it.
 */
export function oilsThatSet({ batter }: Pick<Plan, 'batter'>): Setting | undefined {
  const first = setsFirst(batter);
  return first && batter.temperatures.oilsC < first.atC ? first : undefined;
}

/** Why a plan's timing says nothing, in words; undefined where it does. */
export function timingVoid(plan: Pick<Plan, 'batter'>): string | undefined {
  const setting = oilsThatSet(plan);
  return (
    setting && `${setting.oil.name} sets at the temperature of the oils: set fat looks like trace and is none`
  );
}
