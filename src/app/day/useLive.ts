import { useMemo } from 'react';
import type { Timetable } from '../../core/clock/timetable.ts';
import { expectedNow, type Expected } from '../../core/making/expected.ts';
import { liveTimetable, wentIn } from '../../core/making/live.ts';
import { minutesOfEvents } from '../../core/making/minute.ts';
import type { Act } from '../../core/procedure/act.ts';
import { retimed } from '../../core/procedure/procedureOf.ts';
import type { Day } from './dayContext.ts';
import { ago, useNow } from './useNow.ts';

/** What is still to come is put off by a moment that passes once in so long, ms. */
const EVERY_MS = 5000;

/** A day under way: its acts at the minutes that are expected of them now. */
export interface Live {
  readonly clock: Timetable | undefined;
  readonly acts: readonly Act[];
  readonly expected: readonly Expected[];
}

/**
 * The timetable as it goes on: as planned until the batter is divided, from what really happened after it.
 */
export function useLive(day: Day): Live {
  const { batch, computed, state, acts } = day;
  const at = useNow(EVERY_MS);
  const went = useMemo(() => {
    const minuteOf = minutesOfEvents(batch, state.zero);
    return minuteOf && wentIn(state.plan, state, minuteOf);
  }, [batch, state]);
  return useMemo(() => {
    const clock =
      went && state.zero ? liveTimetable(computed, went, ago({ batch }, state.zero, at).min) : undefined;
    if (!clock) return { clock: computed.clock, acts, expected: [] };
    return {
      clock,
      acts: retimed(computed, acts, clock),
      expected: expectedNow(computed, clock, state.done),
    };
  }, [went, state, computed, acts, batch, at]);
}
