import type { LaidMould } from '../fill/laid.ts';
import type { Step } from '../plan/stepSchema.ts';
import { standing } from './blocks.ts';
import type { Millimetres } from '../units/quantity.ts';

/** How deep the batter is when a step is done: from the floor to the surface. */
export function depthAt({ plan, stack }: Pick<LaidMould, 'plan' | 'stack'>, step: Step): Millimetres {
  const steps = plan.steps.slice(0, plan.steps.indexOf(step));
  const before = new Set(steps.map((s) => s.id));
  return Math.max(
    0,
    ...stack.layers.filter((l) => before.has(l.pour.id)).map((l) => standing({ steps }, l).offset),
  );
}

/**
 * How high what has set reaches when a step is done: a wait sets all that is in by then, and so does turning
 * the mould. 0: all is fluid.
 */
export function setAt({ plan, stack }: Pick<LaidMould, 'plan' | 'stack'>, step: Step): Millimetres {
  const before = plan.steps.slice(0, plan.steps.indexOf(step));
  const last = before.findLastIndex((s) => s.kind === 'wait' || s.kind === 'tilt' || s.kind === 'scrape');
  return last < 0 ? 0 : depthAt({ plan, stack }, before[last] as Step);
}
