import { finish, type Task } from '../task/task.ts';
import { cureWords } from '../advice/lyeHeavy.ts';
import { minutesOf, type ActMinute } from '../clock/minutesOf.ts';
import type { Timetable } from '../clock/timetable.ts';
import type { Minutes } from '../units/quantity.ts';
import type { Computed } from '../computed/compute.ts';
import { potOfAct, secondId, stepOfAct, type ActId, type DayAct } from '../day/act.ts';
import { ofSecond } from '../day/vessel.ts';
import type { Plan } from '../plan/planSchema.ts';
import { leadPot } from '../plan/sources.ts';
import type { PotId } from '../validate/ids.ts';
import type { Act, LyeHeavyNow, Timing, Told } from './act.ts';
import { tellBefore } from './chapters/before.ts';
import { tellEnding } from './chapters/ending.ts';
import { tellJugs } from './chapters/jugs.ts';
import { tellMaking } from './chapters/making.ts';
import { tellOnTop } from './chapters/onTop.ts';
import { tellPouring } from './chapters/pouring.ts';
import type { TellFor } from './chapters/tells.ts';
import { tellTools } from './chapters/tools.ts';
import { tellingOf, type Telling } from './telling.ts';

const TELL: TellFor<Exclude<DayAct['does'], 'of-second'>> = {
  ...tellBefore,
  ...tellMaking,
  ...tellJugs,
  ...tellPouring,
  ...tellTools,
  ...tellOnTop,
  ...tellEnding,
};

/** The pot that an act of the sheet is marked with. */
function potOf(act: DayAct): PotId | undefined {
  if (act.does === 'pour') return leadPot(act.step);
  if (act.does === 'fill-ridges') return act.step.pot;
  if (act.does === 'put-on-top') return act.step.way.top === 'mound' ? act.step.way.pot : undefined;
  return potOfAct(act)?.id;
}

/** Vessels that have more lye than their oils can use once an act is done, with what cures them. */
const lyeHeavyAt = ({ computed: { plan }, w }: Telling, act: ActId): readonly LyeHeavyNow[] =>
  w.asked.lyeHeavy
    .filter((h) => h.act === act)
    .map((h) => ({
      vessel: h.vessel,
      superfatPercent: h.superfatPercent,
      until: h.cures.map((c) => c.act),
      ...(h.cures.length > 0 ? { cure: cureWords(plan, w, h) } : {}),
    }));

/** An act of the day as it stands on the sheet; undefined where nothing comes of it. */
function actOf(telling: Telling, act: DayAct): Act | undefined {
  if (act.does === 'of-second') {
    const { second } = telling.computed;
    const w = second?.weights;
    const told = second && w && actOf(tellingOf(second, w), act.act);
    return told && apart(told, act);
  }
  const told = (TELL[act.does] as (t: Telling, a: DayAct) => Told | undefined)(telling, act);
  if (!told) return undefined;
  const step = stepOfAct(act);
  const pot = potOf(act);
  const heavy = lyeHeavyAt(telling, act.id);
  return {
    id: act.id,
    chapter: act.chapter,
    deed: told.deed,
    lines: told.lines ?? [],
    ...(step === undefined ? {} : { step: step.id }),
    ...(pot === undefined ? {} : { pot }),
    ...(heavy.length > 0 ? { lyeHeavy: heavy } : {}),
    ...(told.running ? { running: told.running } : {}),
  };
}

/** An act of the second batch among those of the loaf's: its vessels are others. */
const apart = (act: Act, { id, chapter }: DayAct): Act => ({
  ...act,
  id,
  chapter,
  ofSecond: true,
  lines: act.lines.map((l) => ({ ...l, from: ofSecond(l.from), to: ofSecond(l.to) })),
  ...(act.lyeHeavy
    ? {
        lyeHeavy: act.lyeHeavy.map((h) => ({
          ...h,
          vessel: ofSecond(h.vessel),
          until: h.until.map(secondId),
        })),
      }
    : {}),
});

/** A shorter wait is none. */
const WORTH_MIN: Minutes = 0.05;

/** The minute of an act in its figures: windows of what the clock times by itself. */
function timingOf(plan: Plan, act: DayAct, { startMin, timed }: ActMinute): Timing {
  const atMin = startMin;
  if (!timed) return { atMin };
  const { carriedFromMin, pourableUntilMin, fluidUntilMin } = timed;
  const last = act.does === 'pour' && plan.steps.findLast((s) => s.kind === 'pour') === act.step;
  const warm = plan.clock.warm === true && act.does === 'pour' && !last;
  return {
    atMin,
    ...(act.does === 'wait' ? { untilMin: timed.endMin } : {}),
    ...(act.does !== 'wait' && timed.waitMin > WORTH_MIN ? { notBeforeMin: startMin } : {}),
    ...(carriedFromMin === undefined ? {} : { carriedFromMin }),
    ...(pourableUntilMin === undefined ? {} : { pourableUntilMin }),
    ...(fluidUntilMin === undefined ? {} : { fluidUntilMin }),
    ...(warm ? { warm } : {}),
  };
}

/** The same acts at the minutes of another clock of their day. */
export function retimed(
  computed: Pick<Computed, 'plan' | 'day' | 'recipe'>,
  acts: readonly Act[],
  clock: Timetable,
): readonly Act[] {
  const minutes = minutesOf(computed, clock);
  const own = new Map(computed.day.map((act) => [act.id, act] as const));
  return acts.map((act) => {
    const [of, minute] = [own.get(act.id), minutes.get(act.id)];
    return of && minute ? { ...act, timed: timingOf(computed.plan, of, minute) } : act;
  });
}

const known = new WeakMap<Computed, readonly Act[]>();

/** The whole job in order, from goggles to the cut. Empty while something in the plan is refused. */
export const procedureOf = (computed: Computed): readonly Act[] => finish(tellingAll(computed));

/** The same in turns. */
export function* tellingAll(computed: Computed): Task<never, readonly Act[]> {
  const told = known.get(computed) ?? (yield* tellingAnew(computed));
  known.set(computed, told);
  return told;
}

function* tellingAnew(computed: Computed): Task<never, readonly Act[]> {
  const w = computed.weights;
  if (!w) return [];
  const telling = tellingOf(computed, w);
  const { day, clock } = computed;
  const minutes = clock && minutesOf(computed, clock);
  const all: Act[] = [];
  for (const [i, act] of day.entries()) {
    const told = actOf(telling, act);
    const minute = minutes?.get(act.id);
    if (told) all.push(minute ? { ...told, timed: timingOf(computed.plan, act, minute) } : told);
    yield { done: i / day.length };
  }
  return all;
}
