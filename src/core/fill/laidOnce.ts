import { partOf } from '../plan/moulds.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { recipesOf } from '../plan/recipes.ts';
import { fieldsOf, keptTask } from '../task/kept.ts';
import type { Task } from '../task/task.ts';
import type { LaidMould, LaidPlan } from './laid.ts';

/** What a pot is called and painted with, and its jug, are nothing to where its batter lies. */
const potInputs = ({ name: _name, colour: _colour, jug: _jug, ...rest }: Pot): readonly unknown[] =>
  fieldsOf(rest);

/**
 * What a plan is laid by: what it is called, how it is timed and, where nothing lies evenly on its bars, how
 * it is cut are not among it.
 */
function inputsOf(plan: Plan): readonly unknown[] {
  const { id: _id, name: _name, notes: _notes, created: _created, changed: _changed, ...rest } = plan;
  const { clock: _clock, cut, pots, ...laid } = rest;
  const onBars = plan.steps.some((s) => s.kind === 'top');
  return [...fieldsOf(laid), ...(onBars ? [cut] : []), ...pots.flatMap(potInputs)];
}

const kept = keptTask<LaidPlan>();

/** What was laid, of a plan that differs from the one it was laid of in nothing that matters to it. */
function asOf(plan: Plan, laid: LaidPlan): LaidPlan {
  if (laid.plan === plan) return laid;
  const inOne = (m: LaidMould): LaidMould => ({
    ...m,
    plan:
      plan.others.length === 0
        ? plan
        : { ...partOf(plan, m.use.id, 1), fill: m.plan.fill, steps: m.plan.steps },
  });
  const [first, ...others] = laid.moulds;
  const recipes = recipesOf(plan);
  return { ...laid, plan, recipes, recipe: recipes.batch, moulds: [inOne(first), ...others.map(inOne)] };
}

/** A plan laid, or as it was laid before where nothing has changed that it is laid by. */
export function* laidOnce<P>(plan: Plan, lay: (plan: Plan) => Task<P, LaidPlan>): Task<P, LaidPlan> {
  return asOf(plan, yield* kept(inputsOf(plan), () => lay(plan)));
}
