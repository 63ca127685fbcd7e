import type { Plan } from '../plan/planSchema.ts';
import type { Course, Quickens } from '../timing/course.ts';
import { independent, observed, spreadOf, type Belief } from '../timing/learn.ts';
import { Run, type Batter } from '../timing/run.ts';
import { stageIn } from '../timing/haze.ts';
import type { Minutes, Stage } from '../units/quantity.ts';
import type { PlanCourse } from './planCourse.ts';

/** The first guess counts as about three readings: so far out is one, standard deviation of a logarithm. Common practice of the trade's models; no source. */
const READING_SD = 0.25 * Math.sqrt(3);

/** Less growth than this tells little: so many stages. A judgement. */
const TELLS: Stage = 0.5;

/** A reading that shows less growth than this is read as this: nothing is told by a logarithm of nothing. */
const LEAST_GROWTH: Stage = 0.03;

/** For how each rate depends on each doubt. */
const STEP = 1e-3;

/** What one quantity was taken to be, and what readings make of it: factors on the rate that the course had. */
export interface LearnedRate {
  /** the doubt's name: 'recipe', or 'fragrance f1' */
  readonly name: string;
  /** times what it was taken to be */
  readonly factor: number;
  readonly before: { readonly sd: number };
  readonly after: { readonly sd: number };
  readonly readings: number;
  /** the maker does not want it taken from the readings */
  readonly refused: boolean;
}

/** How much a pot thickens between two minutes by itself, stirring and blending left out. */
function growth(states: readonly Batter[], from: Minutes, to: Minutes): Stage {
  let sum = 0;
  for (const [i, s] of states.entries()) {
    const start = Math.max(from, s.since);
    const end = Math.min(to, states[i + 1]?.since ?? Infinity);
    if (end > start) sum += s.perMinute * (end - start);
  }
  return sum;
}

interface Told {
  /** the doubts' shares in it */
  readonly weights: readonly number[];
  readonly value: number;
  readonly sd: number;
}

/** What the readings of a plan tell of each doubt, reading by reading: from one to the next in the same pot. */
function toldBy(plan: Plan, { course, pots }: PlanCourse): readonly Told[] {
  const readings = (plan.clock.readings ?? []).toSorted((a, b) => a.min - b.min);
  const run = new Run(course, { keeps: true });
  const statesFor = (doubts: readonly number[]): readonly (readonly Batter[])[] => {
    run.go({ doubts });
    return (run.kept?.pots ?? []).map((states) => states.map((s) => ({ ...s })));
  };
  const none = course.doubts.map(() => 0);
  const plain = statesFor(none);
  const moved = course.doubts.map((_, j) => statesFor(none.with(j, STEP)));
  const last = new Map<number, { readonly min: Minutes; readonly stage: Stage }>();
  return readings.flatMap((r): Told[] => {
    const p = pots.findIndex(({ pot, ofSecond }) => pot.id === r.pot && !ofSecond);
    const states = plain[p];
    const first = states?.[0];
    if (!states || !first || r.min <= first.since) return [];
    const from = last.get(p) ?? { min: first.since, stage: first.stage };
    last.set(p, r);
    const grows = growth(states, from.min, r.min);
    if (grows <= 0) return [];
    // what stirring and blending added between is not told by the rate
    const jumps = stageIn(states, r.min) - stageIn(states, from.min) - grows;
    const seen = Math.max(LEAST_GROWTH, r.stage - from.stage - jumps);
    return [
      {
        value: Math.log(seen / grows),
        weights: moved.map((m) => Math.log(growth(m[p] ?? [], from.min, r.min) / grows) / STEP),
        sd: READING_SD * Math.max(1, TELLS / grows),
      },
    ];
  });
}

/** What the readings of a plan make of its rates: normal prior, normal likelihood, in closed form. */
export function learnedOf(plan: Plan, prior: PlanCourse): readonly LearnedRate[] {
  const { doubts } = prior.course;
  const start: Belief = independent(doubts.map((d) => ({ mean: 0, sd: Math.max(d.sd, 1e-6) })));
  const told = toldBy(plan, prior);
  const after = told.reduce(observed, start);
  return doubts.map((d, i) => ({
    name: d.name,
    factor: Math.exp(after.means[i] ?? 0),
    before: { sd: d.sd },
    after: { sd: spreadOf(after, i) },
    readings: told.filter((t) => Math.abs(t.weights[i] ?? 0) > 0.01).length,
    refused: plan.clock.refused?.includes(d.name.replace('fragrance ', '')) ?? false,
  }));
}

const quickened = (quickens: readonly Quickens[], factors: readonly number[]): readonly Quickens[] =>
  quickens.map((q) => ({ ...q, factor: q.factor * (factors[q.doubt] ?? 1) }));

/** The course with its rates as they were learned, and in doubt by less. */
export function asLearned(course: Course, learned: readonly LearnedRate[]): Course {
  const used = learned.map((l) => (l.refused ? undefined : l));
  const factors = used.map((l) => l?.factor ?? 1);
  return {
    ...course,
    doubts: course.doubts.map((d, i) => ({ ...d, sd: used[i]?.after.sd ?? d.sd })),
    pots: course.pots.map((p) => ({ ...p, perMinute: p.perMinute * (factors[p.doubt] ?? 1) })),
    acts: course.acts.map((a) => ({
      ...a,
      ...(a.quickens ? { quickens: quickened(a.quickens, factors) } : {}),
      ...(a.cup ? { cup: quickened(a.cup, factors) } : {}),
      ...(a.prepares
        ? { prepares: a.prepares.map((p) => ({ ...p, quickens: quickened(p.quickens, factors) })) }
        : {}),
    })),
  };
}
