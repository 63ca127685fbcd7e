import { useMemo } from 'react';
import type { MouldFacts } from '../../core/advice/facts.ts';
import type { ScaledLayer } from '../../core/weigh/scaled.ts';
import { bodiesOf, standing } from '../../core/pattern/blocks.ts';
import type { Body } from '../../core/pattern/body.ts';
import type { Step } from '../../core/plan/stepSchema.ts';
import type { StepId } from '../../core/validate/ids.ts';
import { useAppSelector } from '../../store/store.ts';
import { SEEN, useDrawn } from '../parts/usePlan.ts';

type Standing = Pick<MouldFacts, 'plan' | 'stack' | 'geometry'> & { readonly hand?: number };

/** A mould as it stands once a step is done. */
const upTo = (
  { plan, stack, geometry, hand }: Standing,
  stepId: StepId,
  layers: readonly ScaledLayer[],
): Standing => ({
  ...(hand === undefined ? {} : { hand }),
  plan: { ...plan, steps: plan.steps.slice(0, plan.steps.findIndex((s) => s.id === stepId) + 1) },
  stack: { ...stack, layers },
  geometry,
});

/** The loaf whole, or as it stands once the chosen step is done. */
export interface Rehearsed {
  /** the chosen step */
  readonly step: Step | undefined;
  /** the last layer that is in by then; -1: none */
  readonly index: number;
  /** that layer, where the loaf is to be seen as it stands then */
  readonly here: ScaledLayer | undefined;
  readonly layers: readonly ScaledLayer[];
  readonly bodies: readonly Body[];
  /** a column still stands in it */
  readonly columnStands: boolean;
}

export function useRehearsed(): Rehearsed {
  const { plan, computed } = useDrawn(...SEEN);
  const { chosen, moment } = useAppSelector((s) => s.desk);
  const { stack } = computed;
  const stepAt = plan.steps.findIndex((s) => s.id === chosen);
  const step = plan.steps[stepAt];
  const done = plan.steps.slice(0, stepAt + 1).map((s) => s.id);
  const index = stack.layers.findLastIndex((l) => done.includes(l.pour.id));
  const shown = moment === 'pour' && index >= 0;
  const layers = useMemo(() => {
    if (!shown) return stack.layers;
    const steps = plan.steps.slice(0, stepAt + 1);
    return stack.layers.slice(0, index + 1).map((l) => standing({ steps }, l));
  }, [shown, stack, index, plan.steps, stepAt]);
  const here = shown ? layers[index] : undefined;
  // what is rehearsed is what the loaf would be if nothing followed
  const bodies = useMemo(
    () => bodiesOf(here && step ? upTo(computed, step.id, layers) : computed),
    [computed, here, step, layers],
  );
  const pulledAt = plan.steps.findIndex((s) => s.kind === 'pull');
  // once it is pulled, its hole is filled
  const columnStands = pulledAt < 0 || (here !== undefined && stepAt < pulledAt);
  return { step, index, here, layers, bodies, columnStands };
}
