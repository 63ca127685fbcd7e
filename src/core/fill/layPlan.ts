import { NOMINAL_DENSITY, recipeOf, type Recipe } from '../batter/recipe.ts';
import { mouldGeometry, type MouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Amount } from '../plan/stepSchema.ts';
import { fillTarget, type FillTarget, type MeanBatter } from './fillTarget.ts';
import { layPours, type PouredStack } from './layers.ts';
import { makeupOf, makeupsOf } from './makeup.ts';

/** The loaf of a plan: its mould, its batter's density, and where each pour lies. Enough to draw it. */
export interface LaidPlan {
  readonly plan: Plan;
  readonly geometry: MouldGeometry;
  readonly recipe: Recipe | undefined;
  /** the plain batter's, or a nominal one while there is no recipe, g/ml; each layer has its own */
  readonly densityGMl: number;
  readonly fill: FillTarget;
  readonly stack: PouredStack;
}

/** A batch whose size is given is laid again until its mean density agrees with what was laid: relative, and so often at most. */
const AGREES = 1e-7;
const ROUNDS = 6;

/**
 * Lay a plan's pours. `poured` are amounts that take the place of planned ones, by the pour's id: what really went in, and
 * what follows from it.
 */
export function layPlan(plan: Plan, poured?: ReadonlyMap<string, Amount>): LaidPlan {
  const geometry = mouldGeometry(plan.mould);
  const recipe = recipeOf(plan.batter);
  const makeup = makeupsOf(plan, recipe);
  const laid =
    poured === undefined
      ? plan
      : {
          ...plan,
          steps: plan.steps.map((s) =>
            s.kind === 'pour' ? { ...s, amount: poured.get(s.id) ?? s.amount } : s,
          ),
        };
  const lay = (mean: MeanBatter): Pick<LaidPlan, 'fill' | 'stack'> => {
    const fill = fillTarget(plan, geometry, mean);
    return { fill, stack: layPours(laid, geometry, fill.heightMm, (pour) => makeup(pour).densityGMl) };
  };
  const meanOf = ({ stack }: Pick<LaidPlan, 'stack'>): MeanBatter => {
    const massG = stack.layers.reduce((s, l) => s + l.massG, 0);
    const oilsG = stack.layers.reduce((s, l) => s + l.massG * makeup(l.pour).oils, 0);
    return massG > 0 ? { densityGMl: massG / stack.filledMl, oils: oilsG / massG } : plain;
  };
  const plain = makeupOf(plan, recipe, []);
  let mean: MeanBatter = plain;
  let result = lay(mean);
  for (let i = 0; i < ROUNDS && result.fill.givenBatchG !== undefined; i += 1) {
    const now = meanOf(result);
    if (Math.abs(now.densityGMl / mean.densityGMl - 1) + Math.abs(now.oils / mean.oils - 1) < AGREES) break;
    mean = now;
    result = lay(mean);
  }
  return { plan, geometry, recipe, densityGMl: recipe?.densityGMl ?? NOMINAL_DENSITY, ...result };
}
