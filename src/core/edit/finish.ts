import type { Plan } from '../plan/planSchema.ts';
import type { Finish } from '../plan/stepSchema.ts';
import type { StepId } from '../validate/ids.ts';
import { updateStep } from './step.ts';

export const setFinish = (plan: Plan, stepId: StepId, what: Finish['what']): Plan =>
  updateStep(plan, 'finish', stepId, { what });
