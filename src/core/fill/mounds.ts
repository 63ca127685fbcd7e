import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import type { LaidMould } from './layPlan.ts';
import { topDensity, weighedTops } from './topMass.ts';

/** Batter of one of the loaf's pots that is heaped on one kind of mould. */
export interface Mound {
  readonly stepId: StepId;
  readonly pot: PotId;
  readonly mould: MouldId;
  readonly copies: number;
  /** on one of them */
  readonly eachG: Grams;
}

/** All that is heaped on a plan's moulds out of its pots. */
export function moundsOn(plan: Plan, recipes: Recipes, moulds: readonly LaidMould[]): readonly Mound[] {
  if (!plan.steps.some((s) => s.kind === 'top' && s.way.top === 'mound')) return [];
  const densityOf = topDensity(plan, recipes);
  return moulds.flatMap((m) =>
    weighedTops(m, densityOf).flatMap(({ step, pot, massG }): Mound[] =>
      step.way.top === 'mound' && pot !== undefined
        ? [{ stepId: step.id, pot, mould: m.use.id, copies: m.use.copies, eachG: massG }]
        : [],
    ),
  );
}

/** What all of it takes of the batch. */
export const moundedG = (mounds: readonly Mound[]): Grams =>
  mounds.reduce((s, m) => s + m.eachG * m.copies, 0);
