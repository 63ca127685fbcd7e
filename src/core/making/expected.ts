import { troubleText } from '../advice/clock.ts';
import type { Timetable } from '../clock/timetable.ts';
import type { Computed } from '../computed/compute.ts';
import type { ActId } from '../day/act.ts';

/** Something that will go wrong as the day goes now. */
export interface Expected {
  readonly act: ActId | undefined;
  readonly says: string;
}

/** What a day under way is expected to break that it was not planned to: of what is still to come. */
export function expectedNow(
  { plan, clock }: Pick<Computed, 'plan' | 'clock'>,
  live: Timetable,
  done: { readonly has: (act: ActId) => boolean },
): readonly Expected[] {
  return live.acts.flatMap((timed) => {
    const { of } = timed.about;
    if (of.length > 0 && of.every((act) => done.has(act))) return [];
    const planned = clock?.acts[timed.place]?.troubles ?? [];
    return timed.troubles
      .filter((t) => !planned.includes(t))
      .map((t) => ({ act: of.at(-1), says: troubleText(plan, timed, t) }));
  });
}
