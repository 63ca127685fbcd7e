import { useMemo } from 'react';
import type { ScaledLayer } from '../../core/weigh/scaled.ts';
import { standingAfter } from '../../core/pattern/standingAfter.ts';
import type { Body } from '../../core/pattern/body.ts';
import type { Step } from '../../core/plan/stepSchema.ts';
import { useAppSelector } from '../../store/store.ts';
import { SEEN, useDrawn } from '../parts/usePlan.ts';

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
  // what is rehearsed is what the loaf would be if nothing followed
  const stands = useMemo(
    () => standingAfter(computed, shown ? (s) => plan.steps.indexOf(s) <= stepAt : () => true),
    [computed, shown, plan.steps, stepAt],
  );
  const { layers, bodies, columnStands } = stands;
  return { step, index, here: shown ? layers[index] : undefined, layers, bodies, columnStands };
}
