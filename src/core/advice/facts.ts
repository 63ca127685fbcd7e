import type { Recipe } from '../batter/recipe.ts';
import type { BarCut } from '../cut/bars.ts';
import type { FillTarget } from '../fill/fillTarget.ts';
import type { PouredStack } from '../fill/layers.ts';
import type { MouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Weights } from '../weigh/weights.ts';

/** What is computed from a plan, before any judgement of it. */
export interface Facts {
  readonly plan: Plan;
  readonly geometry: MouldGeometry;
  readonly recipe: Recipe | undefined;
  /** the recipe's, or a nominal one while there is no recipe, g/ml */
  readonly densityGMl: number;
  readonly fill: FillTarget;
  readonly stack: PouredStack;
  readonly cut: BarCut;
  readonly weights: Weights | undefined;
}
