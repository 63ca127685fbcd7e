import { pourActId, type ActId } from '../day/act.ts';
import type { Plan } from '../plan/planSchema.ts';
import { PLAN_VERSION } from '../plan/planVersion.ts';
import type { Grams } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import type { Batch } from './batchSchema.ts';
import { nextPlace } from './book.ts';
import type { Added, KnownEvent } from './eventSchema.ts';
import { writtenIn, type HappenedByPour } from './happened.ts';
import type { When } from './when.ts';

type Saying<E> = E extends unknown ? Omit<E, 'id' | 'device' | 'seq' | 'counter' | 'at'> : never;

/** What an event says, without whose it is and where it stands. */
export type Said = Saying<KnownEvent>;

/** Who writes, and when; `id` is a name for this event that is never used again. */
export interface Stamp {
  readonly id: string;
  readonly device: string;
  readonly at: When;
}

/** A batch of a plan as it is now, in which nothing is written yet. */
export const begunBatch = (plan: Plan, id: string, started: When): Batch => ({
  id,
  name: plan.name,
  started,
  planVersion: PLAN_VERSION,
  plan,
  events: [],
  photos: [],
});

/** The batch with one event more. */
export const noted = (batch: Batch, says: Said, stamp: Stamp): Batch => ({
  ...batch,
  events: [...batch.events, { ...stamp, ...nextPlace(batch, stamp.device), ...says }],
});

const weighed = (act: ActId, massG: Grams | undefined): Said =>
  massG === undefined
    ? { does: 'as-planned', act, what: 'weighed' }
    : { does: 'weighed', act, massG, by: 'typed' };

const stirredIn = (act: ActId, all: Added | undefined): Said =>
  all === undefined ? { does: 'as-planned', act, what: 'added' } : { does: 'added', act, added: [...all] };

/** What was really poured at a layer, g; undefined: as planned after all. */
export const poured = (pour: StepId, massG: Grams | undefined): Said => weighed(pourActId(pour), massG);

/** All that was really stirred in before a layer; undefined: as planned after all. */
export const added = (pour: StepId, all: Added | undefined): Said => stirredIn(pourActId(pour), all);

/** What is to be said so that of all that these say holds what held in the batch before. */
export function restoring(before: Batch, says: readonly Said[]): readonly Said[] {
  const was = writtenIn(before);
  return says.flatMap((said): Said[] => {
    if (said.does === 'weighed' || (said.does === 'as-planned' && said.what === 'weighed'))
      return [weighed(said.act, was.get(said.act)?.pouredG)];
    if (said.does === 'added' || said.does === 'as-planned')
      return [stirredIn(said.act, was.get(said.act)?.added)];
    return [];
  });
}

/** All that was written of these pours, taken back. */
export const asPlanned = (happened: HappenedByPour, pours: readonly StepId[]): readonly Said[] =>
  pours.flatMap((pour) => {
    const was = happened.get(pour);
    return [
      ...(was?.pouredG === undefined ? [] : [poured(pour, undefined)]),
      ...(was?.added === undefined ? [] : [added(pour, undefined)]),
    ];
  });
