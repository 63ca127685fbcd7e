import type { Plan } from '../plan/planSchema.ts';
import type { Step, Wait } from '../plan/stepSchema.ts';
import type { Stage } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import { freshId } from './freshId.ts';

/** A wait in the mould that a step is about. */
export const newWait = (plan: Pick<Plan, 'steps'>, about: Step | undefined, until: Wait['until']): Wait => ({
  id: freshId('w', plan.steps),
  kind: 'wait',
  ...(about && 'mould' in about && about.mould !== undefined ? { mould: about.mould } : {}),
  until,
});

/**
 * A wait right before a step, until what was poured last is so thick. The plan itself where there is no such
 * step.
 */
export function waitBefore<P extends Pick<Plan, 'steps'>>(plan: P, stepId: string, stage: Stage): P {
  const at = plan.steps.findIndex((s) => s.id === stepId);
  if (at < 0) return plan;
  const wait = newWait(plan, plan.steps[at], { kind: 'stage', stage });
  return { ...plan, steps: plan.steps.toSpliced(at, 0, wait) };
}

export const setUntil = (plan: Plan, waitId: StepId, until: Wait['until']): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => (s.id === waitId && s.kind === 'wait' ? { ...s, until } : s)),
});
