import type { Timetable } from '../../core/clock/timetable.ts';
import type { Step } from '../../core/plan/stepSchema.ts';
import type { Minutes } from '../../core/units/quantity.ts';
import type { StepId } from '../../core/validate/ids.ts';

/** Where something hangs on the line of drops, which is in time. */
export interface OnLine {
  readonly atMin: Minutes;
  /** from it to the next thing on the line */
  readonly gapMin: Minutes;
  /** of that gap hands wait so long, for what is below to carry the next */
  readonly waitMin: Minutes;
  readonly amiss: boolean;
}

/**
 * When each step of a mould is done, and how far it is to the next. A wait begins where what is before it
 * ends.
 */
export function lineTimes(steps: readonly Step[], clock: Timetable): ReadonlyMap<StepId, OnLine> {
  const acts = new Map(clock.acts.flatMap((a) => (a.about.step ? [[a.about.step.id, a] as const] : [])));
  let endMin = 0;
  const times = steps.map((step) => {
    const timed = acts.get(step.id);
    const atMin = timed && step.kind !== 'wait' ? timed.startMin : endMin;
    endMin = timed ? timed.endMin : endMin;
    const waits = step.kind === 'wait' ? 0 : (timed?.waitMin ?? 0);
    return { id: step.id, atMin, waits, amiss: (timed?.troubles.length ?? 0) > 0 };
  });
  return new Map(
    times.map(({ id, atMin, amiss }, i) => {
      const next = times[i + 1];
      const gapMin = next ? Math.max(0, next.atMin - atMin) : 0;
      return [id, { atMin, gapMin, waitMin: Math.min(gapMin, next?.waits ?? 0), amiss }] as const;
    }),
  );
}
