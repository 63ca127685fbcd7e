import type { Facts } from '../advice/facts.ts';
import type { Warning } from '../advice/warning.ts';
import { warningsOf } from '../advice/warningsOf.ts';
import { cutBars } from '../cut/bars.ts';
import { layPlan, type LaidPlan } from '../fill/layPlan.ts';
import { plannedState } from '../look/state.ts';
import { bodiesOf, coloursOfBodies, gradedMixes } from '../ombre/coloursOf.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Amount } from '../plan/stepSchema.ts';
import { weighPlan, type Weights } from '../weigh/weights.ts';

/** Everything derived from a plan. Nothing here is ever stored. */
export interface Computed extends Facts {
  readonly warnings: readonly Warning[];
  /** the ingredients of the batch, also while the mould cannot take it; undefined while the lye itself is refused */
  readonly batch: Weights | undefined;
}

/** Where the pours lie with the amounts that are weighed, once something was really poured otherwise than planned. */
function asPoured(laid: LaidPlan, weights: Weights | undefined): LaidPlan {
  const { plan } = laid;
  if (!weights || !plan.ombres.some((o) => o.actuals.some((a) => a.pouredG !== undefined))) return laid;
  const amounts = new Map(
    weights.pots.flatMap((p) =>
      p.pours.map((q): [string, Amount] => [q.stepId, { kind: 'mass', massG: Math.max(0.1, q.eachG) }]),
    ),
  );
  return layPlan(plan, amounts);
}

/** The layers with the masses that the scale shows for them: one figure wherever a pour's amount stands. */
function weighed(laid: LaidPlan, weights: Weights | undefined): LaidPlan {
  if (!weights) return laid;
  const eachG = new Map(weights.pots.flatMap((p) => p.pours.map((q) => [q.stepId, q.eachG] as const)));
  const layers = laid.stack.layers.map((l) => ({ ...l, massG: eachG.get(l.pour.id) ?? l.massG }));
  return { ...laid, stack: { ...laid.stack, layers } };
}

/**
 * The whole plan computed: geometry, recipe, layers, cut, weights and what there is to warn of.
 * While something is refused there are no weights.
 */
export function computePlan(plan: Plan): Computed {
  const planned = layPlan(plan);
  const { recipe } = planned;
  const weights = recipe && weighPlan(plan, recipe, planned.stack.layers, planned.fill.givenBatchG);
  const laid = weighed(asPoured(planned, weights), weights);
  const cut = cutBars(laid, plan);
  const graded = weights
    ? new Map(weights.ombres.flatMap((o) => o.layers.map((l) => [l.shade.pourId, l.mix] as const)))
    : gradedMixes(plan);
  const bodies = bodiesOf(plan, plannedState(plan, 'cured'), graded);
  const colours = coloursOfBodies(bodies);
  const facts: Facts = { ...laid, cut, weights, graded, bodies, colours };
  const warnings = warningsOf(facts);
  const refused = warnings.filter((w) => w.level === 'refuse');
  return {
    ...facts,
    warnings,
    weights: refused.length > 0 ? undefined : weights,
    batch: refused.some((w) => w.station === 'batter') ? undefined : weights,
  };
}
