import { falseTraceOf } from '../ask/falseTrace.ts';
import type { LaidPlan } from '../fill/laid.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import { Normals } from '../timing/normals.ts';
import { sampling, type Keeping, type Odds } from '../timing/odds.ts';
import { Run } from '../timing/run.ts';
import type { Minutes } from '../units/quantity.ts';
import { courseOf } from './courseOf.ts';
import type { PlanCourse } from './planCourse.ts';
import { leversOf } from './levers.ts';
import { likely, worth } from './likely.ts';
import type { LeverId, Option, Rate } from './option.ts';
import { applied, refined } from './refined.ts';
import { speedOf } from './speed.ts';

/** One way of doing a plan, with what is done otherwise in it. */
export interface Way {
  readonly options: readonly Option[];
  readonly plan: Plan;
  readonly odds: Odds;
  readonly totalMin: Minutes;
}

/** What was found: the plan as it is, and the best ways that differ, the best first. */
export interface Ways {
  readonly now: Way;
  readonly best: readonly Way[];
  /** ways that were weighed */
  readonly tried: number;
}

/** So many things are done otherwise at most: a plan that is another plan is no help. */
const MOST_CHANGES = 4;

/**
 * Where enough ways with no more changes than this are likely to hold, no others are looked for: so many of a
 * hundred, minutes and trouble counted.
 */
const FEW_CHANGES = 3;
const GOOD = 75;

/**
 * Of what differs from what is offered already, so many of the likeliest are tried out, a few of every kind,
 * so often; what is offered, as often as is asked for.
 */
const TRIED = 16;
const OF_A_KIND = 2;
const TRIES = 240;

/**
 * Of those that were tried out, so many of the best are tried without each thing that is done to one jug or
 * pour.
 */
const REFINED = 3;

/** So many ways are offered. */
const OFFERED = 3;

/** A way that holds less often than the plan as it is, by more than chance, is none. */
const NO_WORSE = 0.02;

interface Candidate {
  readonly options: readonly Option[];
  readonly value: number;
}

const kindOf = (options: readonly Option[]): string =>
  options
    .map((o) => o.lever)
    .toSorted()
    .join(' ');

/** All that can be chosen of these, one or none of each, up to so many. */
function* choices<T>(groups: readonly (readonly T[])[], most: number, from = 0): Generator<readonly T[]> {
  yield [];
  if (most === 0) return;
  for (let g = from; g < groups.length; g += 1)
    for (const option of groups[g] ?? [])
      for (const more of choices(groups, most - 1, g + 1)) yield [option, ...more];
}

/**
 * Does one offer something that the other does not, each way round? A way and the same with more to it are
 * one idea.
 */
function differ(a: readonly Option[], b: readonly Option[]): boolean {
  const levers = (list: readonly Option[]): ReadonlySet<LeverId> => new Set(list.map((o) => o.lever));
  const [ofA, ofB] = [levers(a), levers(b)];
  return a.some((o) => !ofB.has(o.lever)) && b.some((o) => !ofA.has(o.lever));
}

interface Trying {
  readonly plan: Plan;
  readonly laid: Pick<LaidPlan, 'moulds' | 'recipes'>;
  readonly few: Normals;
  readonly keeping: Keeping;
  readonly done: number;
  readonly accepts: (plan: Plan, odds: Odds) => boolean;
}

interface Trial {
  readonly options: readonly Option[];
  readonly plan: Plan;
  readonly course: PlanCourse;
  readonly odds: Odds;
  readonly value: number;
}

/** A way tried out a few times. */
function* tryOut(
  options: readonly Option[],
  { plan, laid, few, keeping, done }: Trying,
): Task<never, readonly Trial[]> {
  yield { done };
  const changed = applied(plan, options);
  const course = courseOf(changed, laid);
  if (!course) return [];
  const odds = yield* within(sampling(course.course, few, keeping), done);
  return [{ options, plan: changed, course, odds, value: worth(odds.whole, options, odds.total.middle) }];
}

/**
 * The best of some candidates, each tried out a few times, the best of them without what they can do without;
 * undefined where none can be taken.
 */
function* bestOf(candidates: readonly Candidate[], trying: Trying): Task<never, Trial | undefined> {
  const byValue = (a: Trial, b: Trial): number => b.value - a.value;
  const trials: Trial[] = [];
  for (const { options } of candidates) trials.push(...(yield* tryOut(options, trying)));
  for (const { options } of trials.toSorted(byValue).slice(0, REFINED)) {
    const fewer = yield* refined(trying.plan, trying.laid, options, trying.done);
    if (fewer !== options) trials.push(...(yield* tryOut(fewer, trying)));
  }
  return trials.toSorted(byValue).find((t) => trying.accepts(t.plan, t.odds));
}

export interface Search {
  readonly seed: number;
  readonly samples: number;
  /** nothing is refused of a plan */
  readonly accepts: (plan: Plan) => boolean;
}

/**
 * Look for ways of doing a plan that hold: every choice of up to four things done otherwise is run once, the
 * likeliest of each kind are tried out over and over, and the best that differ are offered. Undefined while
 * nothing is known of its batter.
 */
export function* searching(
  plan: Plan,
  laid: Pick<LaidPlan, 'moulds' | 'recipes' | 'recipe'>,
  { seed, samples, accepts }: Search,
): Task<never, Ways | undefined> {
  const of = courseOf(plan, laid);
  const speed = laid.recipe && speedOf(plan.batter, laid.recipe, plan.clock);
  if (!of || !speed) return undefined;
  const keeping: Keeping = plan.clock.keeping ?? 'feel';
  const { work, rates } = leversOf(plan, laid, of, speed);
  const kinds = new Map<string, Candidate[]>();
  let tried = 0;
  const keep = (options: readonly Option[], value: number): void => {
    const kind = kindOf(options);
    const known = kinds.get(kind) ?? [];
    known.push({ options, value });
    known.sort((a, b) => b.value - a.value);
    kinds.set(kind, known.slice(0, OF_A_KIND));
  };
  const weigh = function* (least: number, most: number, done: readonly [number, number]): Task<never, void> {
    const chosen = [...choices(work, most)];
    for (const [k, options] of chosen.entries()) {
      if (k % 20 === 0) yield { done: done[0] + ((done[1] - done[0]) * k) / chosen.length };
      const other = courseOf(applied(plan, options), laid);
      if (!other) continue;
      const run = new Run(other.course);
      for (const more of choices<Rate>(rates, most - options.length)) {
        if (options.length + more.length < least) continue;
        const from = more.find((r) => r.from !== undefined)?.from;
        run.go({
          faster: more.reduce((f, r) => f * r.faster, 1),
          ...(from === undefined ? {} : { from }),
        });
        tried += 1;
        const together = [...options, ...more];
        const endsMin = run.ends.at(-1) ?? 0;
        keep(together, worth(likely(run), together, endsMin));
      }
    }
  };
  yield* weigh(0, FEW_CHANGES, [0, 0.4]);
  const good = [...kinds.values()].flat().filter((c) => c.options.length > 0 && c.value > GOOD).length;
  if (good < TRIED) yield* weigh(FEW_CHANGES + 1, MOST_CHANGES, [0.4, 0.6]);
  const few = new Normals(seed, TRIES);
  const normals = new Normals(seed, samples);
  const way = function* (options: readonly Option[], changed: Plan, course: PlanCourse): Task<never, Way> {
    const odds = yield* within(sampling(course.course, normals, keeping), 0.9);
    const run = new Run(course.course);
    run.go();
    return { options, plan: changed, odds, totalMin: run.ends.at(-1) ?? 0 };
  };
  const now = yield* way([], plan, of);
  const all = [...kinds.values()].flat().toSorted((a, b) => b.value - a.value);
  const atLeast = now.odds.whole - NO_WORSE;
  const sets = falseTraceOf(plan);
  const best: Way[] = [];
  while (best.length < OFFERED) {
    const others = all.filter(
      ({ options }) => options.length > 0 && best.every((w) => differ(w.options, options)),
    );
    const found = yield* bestOf(others.slice(0, TRIED), {
      plan,
      laid,
      few,
      keeping,
      done: 0.6 + 0.1 * best.length,
      accepts: (p, odds) => odds.whole >= atLeast && falseTraceOf(p) <= sets && accepts(p),
    });
    if (!found) break;
    best.push(yield* way(found.options, found.plan, found.course));
  }
  return { now, best, tried };
}

/** The same work as a part of more: so far along as that is. */
function* within<T>(task: Task<never, T>, done: number): Task<never, T> {
  for (;;) {
    const step = task.next();
    if (step.done) return step.value;
    yield { done };
  }
}
