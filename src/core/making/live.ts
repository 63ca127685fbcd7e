import type { BatchState } from '../batch/state.ts';
import type { When } from '../batch/when.ts';
import { histories } from '../clock/history.ts';
import { asLearned, learnedOf } from '../clock/learned.ts';
import type { PlanCourse } from '../clock/planCourse.ts';
import { priorCourse } from '../clock/priorCourse.ts';
import { timetableOf, type Timetable } from '../clock/timetable.ts';
import type { Computed } from '../computed/compute.ts';
import { pourActId, type ActId } from '../day/act.ts';
import type { Reading } from '../plan/clockSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potsOf } from '../plan/sources.ts';
import type { Seen, Turns } from '../timing/turns.ts';
import type { Minutes } from '../units/quantity.ts';
import type { PotId } from '../validate/ids.ts';

type Read = BatchState['readings'][number];

/** The pot that a layer was poured of; undefined where it is of several, and tells of none. */
function potOfLayer({ steps }: Plan, act: string): PotId | undefined {
  const step = steps.find((s) => s.kind === 'pour' && pourActId(s.id) === act);
  const pots = step?.kind === 'pour' ? potsOf(step) : [];
  return pots.length === 1 ? pots[0] : undefined;
}

/** A reading of the day; of a layer, by the act that poured it. */
type ReadToday = Reading & { readonly layer?: ActId };

/** A reading that was taken on the day, as the clock takes it. */
function readOff(
  plan: Plan,
  { id, of, stage, at }: Read,
  minuteOf: (at: When) => Minutes,
): readonly ReadToday[] {
  const pot = of.is === 'jug' ? of.pot : potOfLayer(plan, of.act);
  if (pot === undefined) return [];
  return [
    {
      id,
      pot,
      min: minuteOf(at),
      stage,
      ...(of.is === 'layer' ? { lying: true as const, layer: of.act } : {}),
    },
  ];
}

/** How a day went until now: minutes since the batter was divided. */
export interface Went {
  readonly done: ReadonlyMap<ActId, Minutes>;
  readonly readings: readonly ReadToday[];
}

/** What was written of a day, by its minutes. */
export const wentIn = (
  plan: Plan,
  { done, readings }: Pick<BatchState, 'done' | 'readings'>,
  minuteOf: (at: When) => Minutes,
): Went => ({
  done: new Map([...done].map(([act, at]) => [act, minuteOf(at)] as const)),
  readings: readings.flatMap((r) => readOff(plan, r, minuteOf)),
});

/**
 * When hands were done with each job of a course; NaN where it is still to come. An act that is several jobs
 * was done with the last of them; what is of no act by itself is done right before the job that it stands
 * before.
 */
function endedAt({ acts, course }: PlanCourse, done: Went['done']): readonly Minutes[] {
  const takes = (job: number): Minutes => course.acts[job]?.minutes ?? 0;
  const ended: Minutes[] = acts.map(() => NaN);
  const afterwards = new Map<ActId, Minutes>();
  for (let i = acts.length - 1; i >= 0; i -= 1) {
    const of = acts[i]?.of ?? [];
    ended[i] =
      of.length === 0
        ? (ended[i + 1] ?? NaN) - takes(i + 1)
        : Math.max(...of.map((act) => (done.get(act) ?? NaN) - (afterwards.get(act) ?? 0)));
    for (const act of of) afterwards.set(act, (afterwards.get(act) ?? 0) + takes(i));
  }
  return ended;
}

/** What a reading says of a course: of a jug, or of the layer that was poured of it last by then. */
function seenIn(
  { course, acts, pots }: PlanCourse,
  { pot, stage, min, layer, lying }: ReadToday,
): readonly Seen[] {
  if (lying) {
    const job = acts.findIndex(({ of }) => layer !== undefined && of.includes(layer));
    return (course.acts[job]?.lays ?? []).map((nth) => ({ of: 'layers' as const, nth, min, stage }));
  }
  const nth = pots.findIndex((p) => p.pot.id === pot && !p.ofSecond);
  return nth < 0 ? [] : [{ of: 'pots', nth, min, stage }];
}

/**
 * The timetable of a day that is under way: what is done stands at the minute at which it was, what was read
 * has moved the rates, and what is still to come begins no sooner than now. Minutes since the batter was
 * divided; undefined while nothing is known of it.
 */
export function liveTimetable(
  computed: Pick<Computed, 'plan' | 'day' | 'moulds' | 'recipes'>,
  { done, readings: today }: Went,
  now: Minutes,
): Timetable | undefined {
  const { plan, day } = computed;
  const prior = priorCourse(plan, computed, day);
  if (!prior) return undefined;
  const went: Turns = { ended: endedAt(prior, done) };
  const before = plan.clock.readings ?? [];
  if (today.length + before.length === 0) return timetableOf(prior, { ...went, now });
  // what was read of an earlier batch is of that one, as it was planned
  const asPlanned = histories(plan, computed, prior);
  const earlier = before.map((r) => {
    const history = r.history ?? asPlanned(r);
    return history ? { ...r, history } : r;
  });
  const read = { ...plan, clock: { ...plan.clock, readings: [...earlier, ...today] } };
  const course = asLearned(prior.course, learnedOf(read, computed, prior, went));
  const seen = today.flatMap((r) => seenIn(prior, r)).toSorted((a, b) => a.min - b.min);
  return timetableOf({ ...prior, course }, { ...went, now, seen });
}
