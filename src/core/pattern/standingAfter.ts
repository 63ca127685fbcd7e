import type { LaidMould } from '../fill/laid.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { LEVEL, type Tilt } from '../mould/tilt.ts';
import type { Step } from '../plan/stepSchema.ts';
import { bodiesOf, standing } from './blocks.ts';
import type { Body } from './body.ts';

/** A mould with its layers, and how much of a hand's waver they are drawn with, 0 to 1. */
export type Laid<L extends PouredLayer> = Pick<LaidMould, 'plan' | 'geometry'> & {
  readonly stack: Omit<LaidMould['stack'], 'layers'> & { readonly layers: readonly L[] };
  readonly hand?: number;
};

/** A mould as it stands while not all of its steps are done, as if nothing followed. */
export interface Standing<L extends PouredLayer> {
  readonly layers: readonly L[];
  readonly bodies: readonly Body[];
  readonly tilt: Tilt;
  /** columns, where it has some, still stand in it */
  readonly columnStands: boolean;
}

/** With some of its steps, and the layers of these; as it is where it is all of them. */
function withSteps<L extends PouredLayer>(laid: Laid<L>, isDone: (step: Step) => boolean): Laid<L> {
  const { plan, stack } = laid;
  const steps = plan.steps.filter(isDone);
  if (steps.length === plan.steps.length) return laid;
  const ids = new Set(steps.map((s) => s.id));
  const layers = stack.layers.filter((l) => ids.has(l.pour.id)).map((l) => standing({ steps }, l));
  return { ...laid, plan: { ...plan, steps }, stack: { ...stack, layers } };
}

export function standingAfter<L extends PouredLayer>(
  of: Laid<L>,
  isDone: (step: Step) => boolean,
): Standing<L> {
  const laid = withSteps(of, isDone);
  const { steps } = laid.plan;
  const tilt = steps.findLast((s) => s.kind === 'tilt');
  return {
    layers: laid.stack.layers,
    bodies: bodiesOf(laid),
    tilt: tilt ? { rollDeg: tilt.rollDeg, pitchDeg: tilt.pitchDeg } : LEVEL,
    columnStands: !steps.some((s) => s.kind === 'pull'),
  };
}
