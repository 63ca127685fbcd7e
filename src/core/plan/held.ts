import type { PotId } from '../validate/ids.ts';
import type { Plan } from './planSchema.ts';

/** Pots that batter is kept in for the top: what is held back, and what is heaped on it. */
export const heldPots = ({ fill, steps }: Pick<Plan, 'fill' | 'steps'>): ReadonlySet<PotId> =>
  new Set([
    ...fill.top.flatMap((t) => (t.massG > 0 ? [t.pot] : [])),
    ...steps.flatMap((s) => (s.kind === 'top' && s.way.top === 'mound' ? [s.way.pot] : [])),
  ]);
