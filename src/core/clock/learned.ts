import type { PotHistory } from '../plan/clockSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { stiffening, stiffeningLess } from '../setting/rest.ts';
import type { Course, Quickens } from '../timing/course.ts';
import { REST } from '../timing/estimates.ts';
import type { Turns } from '../timing/turns.ts';
import { independent, observed, spreadOf, type Belief } from '../timing/learn.ts';
import type { Minutes, Stage } from '../units/quantity.ts';
import type { PotId } from '../validate/ids.ts';
import type { Laid } from './course/draft.ts';
import { grown, histories, isTold, rateOf, stageBy } from './history.ts';
import type { PlanCourse } from './planCourse.ts';
import { idOfScent, RECIPE, scentDoubt, scentSpeed } from './scents.ts';

/**
 * The first guess counts as about three readings: so far out is one, standard deviation of a logarithm.
 * Common practice of the trade's models; no source.
 */
const READING_SD = 0.25 * Math.sqrt(3);

/** Less growth than this tells little: so many stages. A judgement. */
const TELLS: Stage = 0.5;

/** A reading that shows less growth than this is read as this: nothing is told by a logarithm of nothing. */
const LEAST_GROWTH: Stage = 0.03;

/**
 * What one quantity was taken to be, and what readings make of it: factors on the rate that the course had.
 */
export interface LearnedRate {
  /** the doubt's name: 'recipe', 'rest', or 'fragrance f1' */
  readonly name: string;
  /** times what it was taken to be */
  readonly factor: number;
  readonly before: { readonly sd: number };
  readonly after: { readonly sd: number };
  readonly readings: number;
  /** the maker does not want it taken from the readings */
  readonly refused: boolean;
}

/** Words for stages are good to about this. Common practice, no source. */
const WORD_SD: Stage = 0.35;

interface Told {
  /**
   * a recipe's rate, a fragrance's factor, or how soon it stiffens at rest, and its share in what was seen
   */
  readonly shares: ReadonlyMap<string, number>;
  readonly value: number;
  readonly sd: number;
}

/**
 * What a layer tells that was touched as it lay: of its growth and of its rest, as far as each could have
 * made the difference.
 */
function toldLying(
  { restMin = 0 }: PotHistory,
  stage: Stage,
  predicted: Stage,
  shares: ReadonlyMap<string, number>,
  grows: Stage,
  tcMin: Minutes,
): Told {
  return {
    value: stage - predicted - stiffening(restMin, tcMin),
    shares: new Map([
      [RECIPE, grows],
      ...[...shares].map(([f, part]) => [scentDoubt(f), part] as const),
      [REST, 0 - stiffeningLess(restMin, tcMin)],
    ]),
    sd: WORD_SD,
  };
}

/**
 * What the readings of a plan tell, reading by reading: from one to the next in the same pot, of what was
 * done to it between.
 */
function tellings(plan: Plan, laid: Laid, prior: PlanCourse, went: Turns): readonly Told[] {
  const { clock, batter } = plan;
  const readings = (clock.readings ?? []).toSorted((a, b) => a.min - b.min);
  const asPlanned = readings.some((r) => !r.history) ? histories(plan, laid, prior, went) : undefined;
  const factors = new Map(batter.fragrances.map((f) => [f.id, scentSpeed(f).factor]));
  const tcMin = prior.course.rest?.tcMin ?? Infinity;
  const last = new Map<PotId, { readonly min: Minutes; readonly stage: Stage; readonly thinner: Stage }>();
  return readings.flatMap((r): Told[] => {
    const history = r.history ?? asPlanned?.(r);
    if (!history || !isTold(history, factors)) return [];
    const { start, spells, thinner = 0 } = history;
    const from = last.get(r.pot) ?? { min: spells[0]?.min ?? 0, stage: start, thinner: 0 };
    const rate = rateOf(clock, history);
    const factorOf = (f: string): number => factors.get(f) ?? 1;
    const { grows, shares } = grown(history, from.min, r.min, rate, factorOf);
    // what stirring and blending added between is not told by the rate
    const byHand =
      stageBy(history, r.min, rate, factorOf) -
      stageBy(history, from.min, rate, factorOf) -
      grows +
      from.thinner -
      thinner;
    if (r.lying) return [toldLying(history, r.stage, from.stage + byHand + grows, shares, grows, tcMin)];
    last.set(r.pot, { min: r.min, stage: r.stage, thinner });
    if (grows <= 0) return [];
    const seen = Math.max(LEAST_GROWTH, r.stage - from.stage - byHand);
    return [
      {
        value: Math.log(seen / grows),
        shares: new Map([
          [RECIPE, 1],
          ...[...shares].map(([f, part]) => [scentDoubt(f), part / grows] as const),
        ]),
        sd: READING_SD * Math.max(1, TELLS / grows),
      },
    ];
  });
}

/**
 * What the readings of a plan make of its rates: normal prior, normal likelihood, in closed form. `went`: how
 * the day went already on which those without a history were taken.
 */
export function learnedOf(
  plan: Plan,
  laid: Laid,
  prior: PlanCourse,
  went: Turns = {},
): readonly LearnedRate[] {
  const told = tellings(plan, laid, prior, went);
  const { doubts } = prior.course;
  // one that is not put in any more is still told of by what was read when it was
  const gone = plan.batter.fragrances
    .filter((f) => doubts.every((d) => d.name !== scentDoubt(f.id)))
    .map((f) => ({ name: scentDoubt(f.id), sd: scentSpeed(f).sd }));
  const all = [...doubts, ...gone];
  const start: Belief = independent(all.map((d) => ({ mean: 0, sd: Math.max(d.sd, 1e-6) })));
  const after = told.reduce(
    (belief, { shares, value, sd }) =>
      observed(belief, { weights: all.map((d) => shares.get(d.name) ?? 0), value, sd }),
    start,
  );
  return doubts.map((d, i) => ({
    name: d.name,
    factor: Math.exp(after.means[i] ?? 0),
    before: { sd: d.sd },
    after: { sd: spreadOf(after, i) },
    readings: told.filter((t) => Math.abs(t.shares.get(d.name) ?? 0) > 0.01).length,
    refused: plan.clock.refused?.includes(idOfScent(d.name) ?? d.name) ?? false,
  }));
}

const quickened = (quickens: readonly Quickens[], factors: readonly number[]): readonly Quickens[] =>
  quickens.map((q) => ({ ...q, factor: q.factor * (factors[q.doubt] ?? 1) ** (q.share ?? 1) }));

/** The course with its rates as they were learned, and in doubt by less. */
export function asLearned(course: Course, learned: readonly LearnedRate[]): Course {
  const used = learned.map((l) => (l.refused ? undefined : l));
  const factors = used.map((l) => l?.factor ?? 1);
  return {
    ...course,
    doubts: course.doubts.map((d, i) => ({ ...d, sd: used[i]?.after.sd ?? d.sd })),
    ...(course.rest
      ? { rest: { ...course.rest, tcMin: course.rest.tcMin * (factors[course.rest.doubt] ?? 1) } }
      : {}),
    pots: course.pots.map((p) => ({ ...p, perMinute: p.perMinute * (factors[p.doubt] ?? 1) })),
    acts: course.acts.map((a) => ({
      ...a,
      ...(a.quickens ? { quickens: quickened(a.quickens, factors) } : {}),
      ...(a.cup ? { cup: { ...a.cup, quickens: quickened(a.cup.quickens, factors) } } : {}),
      ...(a.prepares
        ? { prepares: a.prepares.map((p) => ({ ...p, quickens: quickened(p.quickens, factors) })) }
        : {}),
    })),
  };
}
