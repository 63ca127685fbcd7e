import type { Recipe } from '../batter/recipe.ts';
import type { MouldGeometry } from '../mould/geometry.ts';
import type { MouldUse } from '../plan/moulds.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import type { FillTarget } from './fillTarget.ts';
import type { PouredStack } from './layers.ts';

/** One mould of a plan, and where each pour lies in it. Enough to draw it. */
export interface LaidMould {
  readonly use: MouldUse;
  /** this mould as a plan by itself */
  readonly plan: Plan;
  readonly geometry: MouldGeometry;
  readonly fill: FillTarget;
  readonly stack: PouredStack;
}

/** A whole plan laid: its recipes, all its moulds, and the first of them. */
export interface LaidPlan {
  readonly plan: Plan;
  /** of the batch: with what goes into all of it */
  readonly recipe: Recipe | undefined;
  readonly recipes: Recipes;
  /** the plain batter's, or a nominal one while there is no recipe, g/ml; each layer has its own */
  readonly densityGMl: number;
  /** the whole batch where the plan gives its size */
  readonly givenBatchG: Grams | undefined;
  /** of the first mould */
  readonly geometry: MouldGeometry;
  readonly fill: FillTarget;
  readonly stack: PouredStack;
  readonly moulds: readonly [LaidMould, ...LaidMould[]];
  /** mixes of pours out of jugs that scrapings of another pot went into, by their deposits */
  readonly stirred: ReadonlyMap<string, Mix>;
}
