import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import type { LaidMould } from './laid.ts';
import { topDensity, weighedTops } from './topMass.ts';

/**
 * Batter of one of the loaf's pots that goes into one kind of mould beside the pours: heaped on top, or into
 * the hollows of a mat.
 */
export interface Mound {
  readonly stepId: StepId;
  readonly pot: PotId;
  readonly mould: MouldId;
  readonly copies: number;
  /** on one of them */
  readonly eachG: Grams;
  /** before anything is poured, or after everything is */
  readonly when: 'first' | 'last';
}

/** All that goes into a plan's moulds beside its pours. */
export function moundsOn(plan: Plan, recipes: Recipes, moulds: readonly LaidMould[]): readonly Mound[] {
  const any =
    moulds.some((m) => m.use.mould.mat) || plan.steps.some((s) => s.kind === 'top' && s.way.top === 'mound');
  if (!any) return [];
  const densityOf = topDensity(plan, recipes);
  return moulds.flatMap((m) =>
    weighedTops(m, densityOf).flatMap(({ step, pot, massG }): Mound[] => {
      const ridges = step.kind === 'ridges';
      if (pot === undefined || (!ridges && step.way.top !== 'mound')) return [];
      const when = ridges ? 'first' : 'last';
      return [{ stepId: step.id, pot, mould: m.use.id, copies: m.use.copies, eachG: massG, when }];
    }),
  );
}

/** What all of it takes of the batch. */
export const moundedG = (mounds: readonly Mound[]): Grams =>
  mounds.reduce((s, m) => s + m.eachG * m.copies, 0);
