import type { AddedColorants, Batch } from '../plan/batchSchema.ts';
import type { Plan } from '../plan/planSchema.ts';

/** What was really done at a pour, where it differed from the plan. */
export interface Happened {
  readonly pouredG?: number;
  readonly added?: AddedColorants;
}

export type HappenedByPour = ReadonlyMap<string, Happened>;

const NOTHING: HappenedByPour = new Map();

/** The book of a batch as it stands after its last entry. */
function folded({ events }: Batch): HappenedByPour {
  const now = new Map<string, Happened>();
  for (const event of events) {
    const { pouredG, added } = now.get(event.pour) ?? {};
    const is: Happened = {
      ...(pouredG === undefined ? {} : { pouredG }),
      ...(added === undefined ? {} : { added }),
    };
    switch (event.does) {
      case 'poured':
        now.set(event.pour, { ...is, pouredG: event.massG });
        break;
      case 'added':
        now.set(event.pour, { ...is, added: event.added });
        break;
      case 'as-planned': {
        const { [event.what === 'poured' ? 'pouredG' : 'added']: _back, ...rest } = is;
        now.set(event.pour, rest);
      }
    }
  }
  return new Map([...now].filter(([, h]) => Object.keys(h).length > 0));
}

const known = new WeakMap<Batch, HappenedByPour>();

/**
 * What happened otherwise than planned, by pour. Only at the layers of an ombre: what comes after those is solved again. What was
 * written of a pour that is no such layer any more stays in the book and says nothing.
 */
export function happenedIn({ batch, steps }: Pick<Plan, 'batch' | 'steps'>): HappenedByPour {
  if (!batch) return NOTHING;
  const all = known.get(batch) ?? folded(batch);
  known.set(batch, all);
  const layers = new Set(steps.flatMap((s) => (s.kind === 'pour' && s.ombre ? [s.id] : [])));
  return new Map([...all].filter(([pour]) => layers.has(pour)));
}

/** Some pour was really otherwise than planned. */
export const pouredOtherwise = (plan: Pick<Plan, 'batch' | 'steps'>): boolean =>
  [...happenedIn(plan).values()].some((h) => h.pouredG !== undefined);

/** The plan without what was done of it. */
export function asPlanned<P extends Pick<Plan, 'batch'>>(plan: P): P {
  const { batch: _batch, ...rest } = plan;
  return rest as P;
}
