import type { PotId } from '../validate/ids.ts';
import type { Plan } from './planSchema.ts';
import type { Step } from './stepSchema.ts';

/** The pot that a step takes batter of beside the pours: heaped on top, or into the hollows of a mat. */
export function potBesidePours(step: Step): PotId | undefined {
  if (step.kind === 'ridges') return step.pot;
  return step.kind === 'top' && step.way.top === 'mound' ? step.way.pot : undefined;
}

/**
 * Pots that batter is taken of beside their pours: what is held back for the top, what is heaped on it, and
 * what fills a mat's hollows.
 */
export const heldPots = ({ fill, steps }: Pick<Plan, 'fill' | 'steps'>): ReadonlySet<PotId> =>
  new Set([
    ...fill.top.flatMap((t) => (t.massG > 0 ? [t.pot] : [])),
    ...steps.flatMap((s) => potBesidePours(s) ?? []),
  ]);
