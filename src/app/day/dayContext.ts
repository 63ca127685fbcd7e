import { createContext, useContext } from 'react';
import type { Batch } from '../../core/batch/batchSchema.ts';
import type { BatchState } from '../../core/batch/state.ts';
import type { Computed } from '../../core/computed/compute.ts';
import type { Screen } from '../../core/making/screens.ts';
import type { Act } from '../../core/procedure/act.ts';
import type { Grams } from '../../core/units/quantity.ts';

/** A batch as it stands, with the acts of its day. */
export interface Day {
  readonly batch: Batch;
  readonly state: BatchState;
  readonly computed: Computed;
  /** what is to be made ready, and what is carried out */
  readonly ready: readonly Act[];
  readonly acts: readonly Act[];
  readonly screens: readonly Screen[];
  /** what is done next; undefined: all of it is */
  readonly next: Screen | undefined;
  /** what every vessel holds now, g, by its key */
  readonly held: ReadonlyMap<string, Grams>;
  /** this page runs it */
  readonly runs: boolean;
  /** another page runs it: here it is only seen */
  readonly watches: boolean;
  readonly takeOver: () => void;
}

export const DayContext = createContext<Day | undefined>(undefined);

export function useDay(): Day {
  const day = useContext(DayContext);
  if (!day) throw new Error('only inside the room of a batch');
  return day;
}
