import type { Batch } from '../batch/batchSchema.ts';
import { happenedIn } from '../batch/happened.ts';
import { stateOf } from '../batch/state.ts';
import type { When } from '../batch/when.ts';
import { computePlan } from '../computed/compute.ts';
import { procedureOf, retimed } from '../procedure/procedureOf.ts';
import type { Act } from '../procedure/act.ts';
import type { Minutes } from '../units/quantity.ts';
import { liveTimetable, wentIn } from './live.ts';
import { minutesOfEvents } from './minute.ts';
import { nextOf } from './order.ts';
import { verdictOf, type Verdict } from './verdict.ts';
import { titleOf } from './words.ts';

/** What is next in a batch, and how soon. */
export interface NextIn {
  readonly batch: Batch;
  /** undefined: all of it is done, and it is to be ended */
  readonly act: Act | undefined;
  readonly title: string;
  /** of this moment; absent before the batter is divided, and where it has no window */
  readonly verdict?: Verdict;
  /** minutes since the batter was divided, as of the moment that is asked about */
  readonly now?: Minutes;
  /** how soon it wants hands, min: what is late first, what has no window once nothing else has one */
  readonly urgency: Minutes;
}

const NO_WINDOW: Minutes = 1e4;

/** How soon a batch wants hands, as of so many minutes since it was divided. */
export function nextIn(batch: Batch, sinceZero: (zero: When) => Minutes): NextIn {
  const state = stateOf(batch);
  const computed = computePlan(state.plan, happenedIn(batch, state.plan));
  const acts = procedureOf(computed);
  const act = nextOf(acts, state);
  if (!act) return { batch, act, title: 'To be ended', urgency: 2 * NO_WINDOW };
  const title = titleOf(act, state.plan);
  const minuteOf = minutesOfEvents(batch, state.zero);
  if (!state.zero || !minuteOf) return { batch, act, title, urgency: NO_WINDOW };
  const now = sinceZero(state.zero);
  const clock = liveTimetable(computed, wentIn(state.plan, state, minuteOf), now);
  const [timed] = clock ? retimed(computed, [act], clock) : [act];
  const verdict = timed?.timed && verdictOf(timed.timed, now);
  if (!verdict) return { batch, act, title, now, urgency: 0 };
  const urgency =
    verdict.is === 'late' ? verdict.sinceMin - now : verdict.is === 'wait' ? verdict.untilMin - now : 0;
  return { batch, act, title, verdict, now, urgency };
}

/** Several batches of one day, whose turn it is first. */
export const whoseTurn = (all: readonly NextIn[]): readonly NextIn[] =>
  all.toSorted((a, b) => a.urgency - b.urgency || a.batch.started.utcMs - b.batch.started.utcMs);
