import type { TimedAct, Timetable } from '../../clock/timetable.ts';
import type { Computed } from '../../computed/compute.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Draft, Timing } from '../act.ts';

/** A jug gets its lye right before it is poured: then, or at its own time. */
function lyeInto({ acts, plan }: Timetable, draft: Draft): TimedAct | undefined {
  const place = plan.pots.findIndex(({ pot, ofSecond }) => pot.id === draft.pot && !ofSecond);
  return acts.find(
    ({ act }) =>
      act.key === `make ${draft.pot ?? ''}` || act.prepares?.some((p) => p.makes === true && p.pot === place),
  );
}

/** What of the clock an act of the sheet is. */
function timedAs(clock: Timetable, draft: Draft): TimedAct | undefined {
  const keyed = (key: string): TimedAct | undefined => clock.acts.find((a) => a.act.key === key);
  switch (draft.deed.does) {
    case 'colour-pot':
      return keyed(`colour ${draft.ofSecond ? 'piping ' : ''}${draft.pot ?? ''}`);
    case 'begin-second':
      return keyed('make piping');
    case 'combine':
      return lyeInto(clock, draft);
    // made ready for the pour, at no minute of its own
    case 'stir-into-pot':
    case 'work-jug':
      return undefined;
    default:
      return draft.step === undefined
        ? undefined
        : clock.acts.find(({ about, act }) => about.step?.id === draft.step && act.does !== 'colour');
  }
}

function timingOf(plan: Plan, draft: Draft, timed: TimedAct): Timing {
  if (draft.deed.does === 'combine') return { atMin: timed.preparedMin };
  const { startMin, carriedFromMin, pourableUntilMin, fluidUntilMin } = timed;
  const last = plan.steps.findLast((s) => s.kind === 'pour')?.id === draft.step;
  const warm = plan.clock.warm === true && draft.deed.does === 'pour' && !last;
  return {
    atMin: startMin,
    ...(carriedFromMin === undefined ? {} : { carriedFromMin }),
    ...(pourableUntilMin === undefined ? {} : { pourableUntilMin }),
    ...(fluidUntilMin === undefined ? {} : { fluidUntilMin }),
    ...(warm ? { warm } : {}),
  };
}

/** The sheet with the minutes of what the clock times. */
export function timing({ plan, clock }: Computed, drafts: readonly Draft[]): readonly Draft[] {
  if (!clock) return drafts;
  return drafts.map((draft) => {
    const timed = timedAs(clock, draft);
    return timed ? { ...draft, timed: timingOf(plan, draft, timed) } : draft;
  });
}
