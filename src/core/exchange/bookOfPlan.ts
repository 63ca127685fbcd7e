import { firstBatchId, idOfContent } from '../batch/ids.ts';
import { PLAN_VERSION } from '../plan/planVersion.ts';
import { isRecord } from '../validate/isRecord.ts';

type Body = Record<string, unknown>;

/** What versions 4 to 7 wrote down. */
const KINDS: readonly unknown[] = ['poured', 'added', 'as-planned'];

/** Stands for the device that wrote in a plan: which one it was is not known. */
const DEVICE = 'as-found';

/** An entry as versions 4 to 7 wrote it, as an event. What is at fault in it stays so. */
function eventOf(entry: Body, i: number, planId: string): Body {
  const { id: _id, at, pour, does, massG, added, what, ...rest } = entry;
  const utcMs = typeof at === 'string' ? Date.parse(at) : at;
  const said =
    does === 'poured'
      ? { does: 'weighed', massG, by: 'typed' }
      : does === 'added'
        ? { does, added }
        : { does, what: what === 'poured' ? 'weighed' : what };
  return {
    id: idOfContent([planId, i, at, pour, does, massG, added, what]),
    device: DEVICE,
    seq: i + 1,
    counter: i + 1,
    at: { utcMs },
    act: typeof pour === 'string' ? `pour:${pour}` : pour,
    ...said,
    ...rest,
  };
}

/**
 * Versions 4 to 7 wrote what was really done into the plan (`batch`). It is a batch by itself, of the plan as
 * it was found with it. Its id and those of its events are made of the plan's id and of what they say: so
 * wherever such a plan is read, one batch comes of it. Undefined where the plan has none. What is at fault in
 * it stays so, but for a book that is no list of entries: that one stays in the plan.
 */
export function takenOut(body: Body): { readonly plan: Body; readonly batch: Body } | undefined {
  const { batch, ...plan } = body;
  if (!isRecord(batch)) return undefined;
  const { started, events, ...rest } = batch;
  if (!Array.isArray(events) || !events.every((e) => isRecord(e) && KINDS.includes(e['does'])))
    return undefined;
  const id = String(plan['id']);
  return {
    plan,
    batch: {
      id: firstBatchId(id),
      name: plan['name'],
      started: { utcMs: typeof started === 'string' ? Date.parse(started) : started },
      planVersion: PLAN_VERSION,
      plan,
      planAsFound: true,
      events: (events as Body[]).map((e, i) => eventOf(e, i, id)),
      photos: [],
      ...rest,
    },
  };
}
