import type { BatchState } from '../batch/state.ts';
import type { ActId } from '../day/act.ts';
import type { VesselKey } from '../day/vessel.ts';
import type { Act } from '../procedure/act.ts';
import type { Grams } from '../units/quantity.ts';

/** Something that goes into a vessel, or out of it, on the day. */
export interface InJug {
  readonly act: ActId;
  readonly name: string;
  /** less than nothing: out of it */
  readonly massG: Grams;
  readonly fine: boolean;
  readonly done: boolean;
}

/** All that goes into a vessel and out of it, in order, with what is done of it: its list. */
export const listOfVessel = (
  acts: readonly Act[],
  vessel: VesselKey,
  { done }: Pick<BatchState, 'done'>,
): readonly InJug[] =>
  acts.flatMap((act) =>
    act.lines.flatMap(({ name, massG, times, fine, from, to }): InJug[] => {
      const sign = (to.key === vessel ? 1 : 0) - (from.key === vessel ? 1 : 0);
      return sign === 0
        ? []
        : [{ act: act.id, name, massG: sign * massG * times, fine, done: done.has(act.id) }];
    }),
  );
