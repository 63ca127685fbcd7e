import type { PotId } from '../validate/ids.ts';
import type { Plan } from './planSchema.ts';

/** Pots that batter is taken of beside their pours: what is held back for the top, what is heaped on it, and what fills a mat's hollows. */
export const heldPots = ({ fill, steps }: Pick<Plan, 'fill' | 'steps'>): ReadonlySet<PotId> =>
  new Set([
    ...fill.top.flatMap((t) => (t.massG > 0 ? [t.pot] : [])),
    ...steps.flatMap((s) => {
      if (s.kind === 'ridges') return [s.pot];
      return s.kind === 'top' && s.way.top === 'mound' ? [s.way.pot] : [];
    }),
  ]);
