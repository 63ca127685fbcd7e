import { mouldOfStep } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Step, Wait } from '../plan/stepSchema.ts';
import type { Stage } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import { freshId } from './freshId.ts';
import { updateStep } from './step.ts';

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

export const setUntil = (plan: Plan, waitId: StepId, until: Wait['until']): Plan =>
  updateStep(plan, 'wait', waitId, { until });

/** The wait right before a pour, in its mould: it is the pour's. */
export function waitOf({ steps }: Pick<Plan, 'steps'>, pourId: StepId): Wait | undefined {
  const pour = steps.find((s) => s.id === pourId);
  if (!pour) return undefined;
  const own = steps.slice(0, steps.indexOf(pour)).findLast((s) => mouldOfStep(s) === mouldOfStep(pour));
  return own?.kind === 'wait' ? own : undefined;
}

/**
 * A pour waits so, or as its layer needs it to where undefined: the wait on the line, put there or taken out.
 */
export function waitFor(plan: Plan, pourId: StepId, until: Wait['until'] | undefined): Plan {
  const own = waitOf(plan, pourId);
  if (own && until) return setUntil(plan, own.id, until);
  if (own) return { ...plan, steps: plan.steps.filter((s) => s !== own) };
  const at = plan.steps.findIndex((s) => s.id === pourId);
  return until && at >= 0
    ? { ...plan, steps: plan.steps.toSpliced(at, 0, newWait(plan, plan.steps[at], until)) }
    : plan;
}
