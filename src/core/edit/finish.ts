import type { Plan } from '../plan/planSchema.ts';
import type { Finish } from '../plan/stepSchema.ts';
import type { StepId } from '../validate/ids.ts';

export const setFinish = (plan: Plan, stepId: StepId, what: Finish['what']): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => (s.id === stepId && s.kind === 'finish' ? { ...s, what } : s)),
});
