import type { Plan } from '../plan/planSchema.ts';
import { pourActId } from '../day/act.ts';
import { rememberedLast } from '../task/remembered.ts';
import type { Batch } from './batchSchema.ts';
import type { Added } from './eventSchema.ts';
import { stateOf } from './state.ts';

/** What was really done at a pour, where it differed from the plan. */
export interface Happened {
  readonly pouredG?: number;
  readonly added?: Added;
}

/** By the pour's step. */
export type HappenedByPour = ReadonlyMap<string, Happened>;

/** All went, or will go, as planned. */
export const AS_PLANNED: HappenedByPour = new Map();

/** What was written down of what each act moves, as it stands after the last event. */
export function writtenIn(batch: Batch): ReadonlyMap<string, Happened> {
  const { weighed, added } = stateOf(batch);
  const acts = new Set([...weighed.keys(), ...added.keys()]);
  return new Map(
    [...acts].map((act): [string, Happened] => {
      const pouredG = weighed.get(act)?.whole?.massG;
      const all = added.get(act);
      return [act, { ...(pouredG === undefined ? {} : { pouredG }), ...(all ? { added: all } : {}) }];
    }),
  );
}

/**
 * What happened otherwise than planned, by pour. Only at the layers of an ombre: what comes after those is
 * solved again. What was written of a pour that is no such layer any more stays in the book and says nothing.
 */
export const happenedIn = (batch: Batch | undefined, { steps }: Pick<Plan, 'steps'>): HappenedByPour =>
  batch ? known(batch, [steps], () => happenedAt(batch, steps)) : AS_PLANNED;

const known = rememberedLast<HappenedByPour>();

function happenedAt(batch: Batch, steps: Plan['steps']): HappenedByPour {
  const all = writtenIn(batch);
  const entries = steps.flatMap((s): [string, Happened][] => {
    const was = s.kind === 'pour' && s.ombre ? all.get(pourActId(s.id)) : undefined;
    return was && Object.keys(was).length > 0 ? [[s.id, was]] : [];
  });
  return entries.length > 0 ? new Map(entries) : AS_PLANNED;
}

/** Some pour was really otherwise than planned. */
export const pouredOtherwise = (happened: HappenedByPour): boolean =>
  [...happened.values()].some((h) => h.pouredG !== undefined);
