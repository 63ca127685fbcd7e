import type { Plan } from '../plan/planSchema.ts';
import { pourActId } from '../day/act.ts';
import { rememberedLast } from '../task/remembered.ts';
import type { Batch } from './batchSchema.ts';
import { inOrder } from './book.ts';
import { isKnown, type Added } from './eventSchema.ts';

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
  const now = new Map<string, Happened>();
  for (const event of inOrder(batch)) {
    if (!isKnown(event)) continue;
    if (event.does === 'weighed' && event.line === undefined)
      now.set(event.act, { ...now.get(event.act), pouredG: event.massG });
    if (event.does === 'added') now.set(event.act, { ...now.get(event.act), added: event.added });
    if (event.does === 'as-planned') {
      const { [event.what === 'weighed' ? 'pouredG' : 'added']: _back, ...rest } = now.get(event.act) ?? {};
      now.set(event.act, rest);
    }
  }
  return now;
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
