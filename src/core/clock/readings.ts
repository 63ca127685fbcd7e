import { dequal } from 'dequal/lite';
import { addReading } from '../edit/clock.ts';
import type { PotHistory, Reading } from '../plan/clockSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Laid } from './course/draft.ts';
import { histories, isTold } from './history.ts';
import { priorCourse } from './priorCourse.ts';

/** What is done to each pot, as the plan has it; undefined while there is no recipe. */
function planned(plan: Plan, laid: Laid): ReturnType<typeof histories> | undefined {
  const prior = priorCourse(plan, laid);
  return prior && histories(plan, laid, prior);
}

/** A reading with what was done to its pot until then, as the plan has it. */
export function takeReading(plan: Plan, laid: Laid, reading: Omit<Reading, 'id' | 'history'>): Plan {
  const history = planned(plan, laid)?.(reading);
  return addReading(plan, { ...reading, ...(history ? { history } : {}) });
}

/** Every reading is of its pot as the plan now has it. */
export function readAsPlanned(plan: Plan, laid: Laid): Plan {
  const of = planned(plan, laid);
  const readings = plan.clock.readings?.map(({ history: _was, ...r }) => {
    const history = of?.(r);
    return history ? { ...r, history } : r;
  });
  return readings ? { ...plan, clock: { ...plan.clock, readings } } : plan;
}

/** A reading, with what it is a reading of. */
export interface ReadingSeen {
  readonly reading: Reading;
  /** absent while its pot is not there yet */
  readonly history: PotHistory | undefined;
  /** the plan does the same to the pot still */
  readonly asPlanned: boolean;
  /** nothing is told by it, for this reason */
  readonly unread?: 'not-there-yet' | 'fragrance-gone';
}

/** The readings of a plan as they are read. */
export function readingsSeen(plan: Plan, laid: Laid): readonly ReadingSeen[] {
  const of = planned(plan, laid);
  const known = new Set(plan.batter.fragrances.map((f) => f.id));
  return (plan.clock.readings ?? []).map((reading): ReadingSeen => {
    const now = of?.(reading);
    const history = reading.history ?? now;
    const asPlanned = reading.history === undefined || dequal(reading.history, now);
    if (!history) return { reading, history, asPlanned, unread: 'not-there-yet' };
    return {
      reading,
      history,
      asPlanned,
      ...(isTold(history, known) ? {} : { unread: 'fragrance-gone' as const }),
    };
  });
}
