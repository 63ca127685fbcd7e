import type { PotId } from '../validate/ids.ts';
import { AS_PLANNED, pouredOtherwise, type HappenedByPour } from '../batch/happened.ts';
import type { Facts, MouldFacts } from '../advice/facts.ts';
import type { Warning } from '../advice/warning.ts';
import { warningOf } from '../advice/warningsOf.ts';
import { layingPlan, layPlan } from '../fill/layPlan.ts';
import type { LaidPlan } from '../fill/laid.ts';
import { plannedState } from '../look/state.ts';
import { bodiesOf, coloursOfBodies, gradedMixes } from '../ombre/coloursOf.ts';
import { inAll } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { inSecond } from '../edit/second.ts';
import { pipedIn, secondPlan } from '../plan/second.ts';
import type { Amount } from '../plan/stepSchema.ts';
import type { Result } from '../result/result.ts';
import { keptTask } from '../task/kept.ts';
import { finish, type Task } from '../task/task.ts';
import type { OmbreWeights } from '../weigh/ombre/types.ts';
import { scaled, staysIn } from '../weigh/scaled.ts';
import type { Weights } from '../weigh/weights.ts';
import { inBars } from './inBars.ts';
import { timedDay, weighingDay } from './stages.ts';

/** Everything derived from a plan. Nothing here is ever stored. */
export interface Computed extends Facts {
  /** the batch that is piped on top, as a plan by itself */
  readonly second: Computed | undefined;
  readonly warnings: readonly Warning[];
  /**
   * the ingredients of the batch, also while the mould cannot take it; undefined while the lye itself is
   * refused
   */
  readonly batch: Weights | undefined;
  /** the ombres as weighed, also while what was entered of them is refused: it can be entered otherwise */
  readonly entered: readonly OmbreWeights[];
}

/**
 * Where the pours lie with the amounts that are weighed, once something was really poured otherwise than
 * planned.
 */
function asPoured(laid: LaidPlan, weights: Weights | undefined, happened: HappenedByPour): LaidPlan {
  const { plan } = laid;
  if (!weights || !pouredOtherwise(happened)) return laid;
  const eachG = staysIn(weights);
  return layPlan(plan, (mould, pour): Amount | undefined => {
    const massG = eachG(mould, pour);
    return massG === undefined ? undefined : { kind: 'mass', massG: Math.max(0.1, massG) };
  });
}

/** What is piped of a pot of the second batch on all moulds, g. */
const pipedG =
  (moulds: readonly MouldFacts[]) =>
  (pot: PotId): number =>
    inAll(moulds, (m) => m.tops.reduce((s, t) => s + (t.pot === pot ? t.massG : 0), 0));

/**
 * What there is to say of the second batch: of its recipe and its colours. Of the bags it is weighed into
 * there is nothing.
 */
const ofSecond = (second: Computed | undefined): readonly Warning[] =>
  (second?.warnings ?? [])
    .filter((w) => w.level === 'refuse' || w.station === 'batter' || w.station === 'colour')
    .map(({ step: _step, mould: _mould, remedies, ...w }) => ({
      ...w,
      ofSecond: true as const,
      message: `Piping: ${w.message}`,
      ...(remedies && second
        ? {
            remedies: remedies.map((r) => ({ ...r, apply: asPlan(inSecond(r.apply, pipedIn(second.plan))) })),
          }
        : {}),
    }));

/** An edit that cannot be done leaves the plan as it is. */
const asPlan =
  (edit: (plan: Plan) => Plan | Result<Plan>) =>
  (plan: Plan): Plan => {
    const outcome = edit(plan);
    if (!('ok' in outcome)) return outcome;
    return outcome.ok ? outcome.value : plan;
  };

/**
 * The whole plan computed, with what has happened of it otherwise: geometry, recipe, layers, cut, weights and
 * what there is to warn of. While something is refused there are no weights. In stages, each kept by what it
 * reads (laying, the day weighed, its minutes), and each of which can be the last that is waited for: the
 * layers first, which is enough to draw and to count bars.
 */
function* computingAnew(plan: Plan, happened: HappenedByPour): Task<LaidPlan, Computed> {
  const planned = yield* layingPlan(plan);
  yield { done: 0.2, partial: planned };
  const { day, weights } = yield* weighingDay(planned, happened);
  yield { done: 0.5 };
  const laid = inBars(scaled(asPoured(planned, weights, happened), weights));
  const wanted = weights
    ? new Map(weights.ombres.flatMap((o) => o.layers.map((l) => [l.shade.pourId, l.mix] as const)))
    : gradedMixes(plan);
  const graded = laid.stirred.size > 0 ? new Map([...wanted, ...laid.stirred]) : wanted;
  const bodies = bodiesOf(plan, plannedState(plan, 'cured'), graded);
  const colours = coloursOfBodies(bodies);
  yield { done: 0.7 };
  const clock = timedDay(laid, day, happened);
  yield { done: 0.8 };
  const facts: Facts = {
    ...laid,
    happened,
    day,
    weights,
    graded,
    bodies,
    colours,
    clock,
  };
  const piped = secondPlan(plan, pipedG(laid.moulds));
  const second = piped && computePlan(piped);
  const warnings = [...(yield* warningOf(facts)), ...ofSecond(second)];
  const refused = warnings.filter((w) => w.level === 'refuse');
  return {
    ...facts,
    second,
    warnings,
    weights: refused.length > 0 ? undefined : weights,
    entered: weights?.ombres ?? [],
    batch: refused.some((w) => w.station === 'batter' && !w.ofSecond) ? undefined : weights,
  };
}

const kept = keptTask<Computed>();

export const computing = (plan: Plan, happened: HappenedByPour): Task<LaidPlan, Computed> =>
  kept([plan, happened], () => computingAnew(plan, happened));

/** All stages at once. */
export const computePlan = (plan: Plan, happened = AS_PLANNED): Computed => finish(computing(plan, happened));
