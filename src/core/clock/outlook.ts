import { layPlan } from '../fill/layPlan.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import { hazeOf, type Haze } from '../timing/haze.ts';
import { Normals } from '../timing/normals.ts';
import { sampling, type Odds } from '../timing/odds.ts';
import { Run } from '../timing/run.ts';
import type { Minutes } from '../units/quantity.ts';
import { courseOf } from './courseOf.ts';
import { weighing, type Matter } from './matters.ts';

/** So many times each plan is carried out, and with this seed: the same figures wherever they are shown. */
export const SAMPLES = 2000;
export const SEED = 20;

/** Of these many the haze is drawn, and what matters is weighed. */
const HAZY = 120;
const WEIGHED = 600;

/** Places along a lane. */
const TIMES = 96;

/** What a plan's clock looks like, once it was carried out over and over. */
export interface Outlook {
  readonly odds: Odds;
  /** how often it would hold if it were known how fast the recipe thickens: as it is taken to */
  readonly rateKnown: number;
  readonly matters: readonly Matter[];
  /** the minutes that the haze is given at */
  readonly times: readonly Minutes[];
  readonly pots: readonly Haze[];
  readonly layers: readonly Haze[];
}

/** What is there at once; the rest takes as long again. */
export type FirstOutlook = Omit<Outlook, 'matters' | 'rateKnown'>;

/** Lanes go on a little after the last act. */
export const shownUntil = (totalMin: Minutes): Minutes => Math.max(10, totalMin * 1.08 + 1);

/**
 * The odds of a plan with its haze first, what matters most after it. Undefined while nothing is known of its
 * batter.
 */
export function* outlook(plan: Plan): Task<FirstOutlook, Outlook | undefined> {
  const of = courseOf(plan, layPlan(plan));
  if (!of) return undefined;
  const keeping = plan.clock.keeping ?? 'feel';
  const odds = yield* sampling(of.course, new Normals(SEED, SAMPLES), keeping);
  const run = new Run(of.course);
  run.go();
  const until = shownUntil(run.ends.at(-1) ?? 0);
  const times = Array.from({ length: TIMES }, (_, i) => (until * i) / (TIMES - 1));
  const haze = hazeOf(of.course, new Normals(SEED, HAZY), keeping, times);
  const first = { odds, times, ...haze };
  yield { done: 0.5, partial: first };
  const known = yield* sampling(of.course, new Normals(SEED, SAMPLES), keeping, {
    doubt: { place: 0, z: 0 },
  });
  const matters = yield* weighing(plan, of, new Normals(SEED, WEIGHED), keeping);
  return { ...first, rateKnown: known.whole, matters };
}
