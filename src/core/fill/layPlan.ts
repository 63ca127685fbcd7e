import { NOMINAL_DENSITY, recipeOf, type Recipe } from '../batter/recipe.ts';
import { mouldGeometry, type MouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import { fillTarget, type FillTarget } from './fillTarget.ts';
import { layPours, type PouredStack } from './layers.ts';

/** The loaf of a plan: its mould, its batter's density, and where each pour lies. Enough to draw it. */
export interface LaidPlan {
  readonly plan: Plan;
  readonly geometry: MouldGeometry;
  readonly recipe: Recipe | undefined;
  /** the recipe's, or a nominal one while there is no recipe, g/ml */
  readonly densityGMl: number;
  readonly fill: FillTarget;
  readonly stack: PouredStack;
}

export function layPlan(plan: Plan): LaidPlan {
  const geometry = mouldGeometry(plan.mould);
  const recipe = recipeOf(plan.batter);
  const densityGMl = recipe?.densityGMl ?? NOMINAL_DENSITY;
  const fill = fillTarget(plan, geometry, recipe, densityGMl);
  const stack = layPours(plan, geometry, fill.heightMm, densityGMl);
  return { plan, geometry, recipe, densityGMl, fill, stack };
}
