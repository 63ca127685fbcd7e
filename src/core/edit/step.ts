import type { Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import type { StepId } from '../validate/ids.ts';

type StepOf<K extends Step['kind']> = Extract<Step, { readonly kind: K }>;

const isOf = <K extends Step['kind']>(step: Step, kind: K): step is StepOf<K> => step.kind === kind;

/** One step of a kind as something makes it of what it was. */
export const mapStep = <K extends Step['kind']>(
  plan: Plan,
  kind: K,
  stepId: StepId,
  change: (step: StepOf<K>) => Step,
): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => (s.id === stepId && isOf(s, kind) ? change(s) : s)),
});

/** One step of a kind with some of what it says changed. */
export const updateStep = <K extends Step['kind']>(
  plan: Plan,
  kind: K,
  stepId: StepId,
  change: Partial<Omit<StepOf<K>, 'id' | 'kind'>>,
): Plan => mapStep(plan, kind, stepId, (s) => ({ ...s, ...change }));
