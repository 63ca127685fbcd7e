import type { Facts } from '../advice/facts.ts';
import type { Warning } from '../advice/warning.ts';
import { warningsOf } from '../advice/warningsOf.ts';
import { cutBars } from '../cut/bars.ts';
import { layPlan } from '../fill/layPlan.ts';
import { plannedState } from '../look/state.ts';
import { bodiesOf, coloursOfBodies, gradedMixes } from '../ombre/coloursOf.ts';
import type { Plan } from '../plan/planSchema.ts';
import { weighPlan } from '../weigh/weights.ts';

/** Everything derived from a plan. Nothing here is ever stored. */
export interface Computed extends Facts {
  readonly warnings: readonly Warning[];
}

/**
 * The whole plan computed: geometry, recipe, layers, cut, weights and what there is to warn of.
 * While something is refused there are no weights.
 */
export function computePlan(plan: Plan): Computed {
  const laid = layPlan(plan);
  const { geometry, recipe, fill, stack } = laid;
  const cut = cutBars(stack.layers, geometry.floor, plan.cut);
  const weights = recipe && weighPlan(plan, recipe, stack.layers, fill.givenBatchG);
  const graded = weights
    ? new Map(weights.ombres.flatMap((o) => o.layers.map((l) => [l.shade.pourId, l.mix] as const)))
    : gradedMixes(plan);
  const bodies = bodiesOf(plan, plannedState(plan, 'cured'), graded);
  const colours = coloursOfBodies(bodies);
  const facts: Facts = { ...laid, cut, weights, graded, bodies, colours };
  const warnings = warningsOf(facts);
  const refused = warnings.some((w) => w.level === 'refuse');
  return { ...facts, warnings, weights: refused ? undefined : weights };
}
