import { layPlan } from '../fill/layPlan.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Odds } from '../timing/odds.ts';
import type { Minutes } from '../units/quantity.ts';
import { planTimetable } from './timetable.ts';
import type { Way, Ways } from './ways.ts';
import { actName } from './words.ts';

/** A way of doing a plan, as it can be posted and shown. */
export interface OfferedWay {
  readonly does: readonly { readonly label: string; readonly why: string }[];
  readonly plan: Plan;
  readonly odds: Odds;
  readonly totalMin: Minutes;
  /** what of it fails most often, and how often it holds */
  readonly weakest: { readonly name: string; readonly holds: number } | undefined;
}

export interface Offered {
  readonly now: OfferedWay;
  readonly best: readonly OfferedWay[];
  readonly tried: number;
}

/** What of a way fails most often. */
function weakestOf({ plan, odds }: Way): OfferedWay['weakest'] {
  const timetable = planTimetable(plan, layPlan(plan));
  if (!timetable) return undefined;
  const holds = Math.min(...odds.acts);
  const timed = timetable.acts[odds.acts.indexOf(holds)];
  return timed && holds < 1 ? { name: actName(plan, timed), holds } : undefined;
}

const asOffered = (way: Way): OfferedWay => ({
  does: way.options.map(({ label, why }) => ({ label, why })),
  plan: way.plan,
  odds: way.odds,
  totalMin: way.totalMin,
  weakest: weakestOf(way),
});

export const offered = ({ now, best, tried }: Ways): Offered => ({
  now: asOffered(now),
  best: best.map(asOffered),
  tried,
});
