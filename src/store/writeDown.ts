import * as v from 'valibot';
import type { Batch } from '../core/batch/batchSchema.ts';
import { eventSchema } from '../core/batch/eventSchema.ts';
import { restoring, type Said } from '../core/batch/note.ts';
import { faultOf } from '../core/exchange/schemaFaults.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Fault } from '../core/result/result.ts';
import { batchOf, stamped } from './batchShown.ts';
import { batchSeen, typedShown } from './batchSlice.ts';
import type { Gesture } from './gesture.ts';
import { bookKeeper } from './keeping/books.ts';
import { store, type AppDispatch, type RootState } from './store.ts';
import { now } from './when.ts';

/** What stays in a field so long without a key is written down, ms. */
const WRITE_MS = 250;

/** A visit to a field whose typing is not written down yet, or has been: what the batch was before it. */
interface Visit {
  readonly gesture: string;
  readonly before: Batch;
  readonly plan: Plan;
  written: readonly Said[];
  timer: ReturnType<typeof setTimeout> | undefined;
}

let visit: Visit | undefined;

const same = (a: readonly Said[], b: readonly Said[]): boolean => JSON.stringify(a) === JSON.stringify(b);

function write(plan: Plan, says: readonly Said[]): void {
  if (says.length === 0) return;
  const at = now();
  const before = batchOf(store.getState().batch, plan, at);
  const after = stamped(before, says, at);
  store.dispatch(batchSeen(after));
  void bookKeeper.write(after, after.events.slice(before.events.length));
}

/** Write down what stands in a field that is still open. */
export function writeTyped(): void {
  const { typed } = store.getState().batch;
  if (!typed || visit?.gesture !== typed.gesture) return;
  clearTimeout(visit.timer);
  if (!same(visit.written, typed.says)) write(visit.plan, typed.says);
  visit.written = typed.says;
  store.dispatch(typedShown(null));
}

/**
 * What a visit has typed is as it was before: what was written down of it already is followed by what was so
 * before.
 */
function takeBack(of: Visit): void {
  clearTimeout(of.timer);
  if (store.getState().batch.typed?.gesture === of.gesture) store.dispatch(typedShown(null));
  const { written } = of;
  of.written = [];
  if (written.length > 0) write(of.plan, restoring(of.before, written));
}

/**
 * Write down what was really done of the open plan. With a gesture it shows at once, is written down when no
 * key has come for a moment, and can be taken back by it. What cannot be comes back as a fault, and nothing
 * of it is written.
 */
export const writeDown =
  (says: readonly Said[], gesture?: Gesture) =>
  (dispatch: AppDispatch, getState: () => RootState): Fault | undefined => {
    if (visit?.gesture !== gesture?.id) writeTyped();
    const { plan, batch } = getState();
    const { present } = plan;
    if (!present) return undefined;
    const at = now();
    const before = batchOf(batch, present, at);
    for (const event of stamped(before, says, at).events.slice(before.events.length)) {
      const read = v.safeParse(eventSchema, event);
      if (!read.success) return faultOf(read.issues[0]);
    }
    if (!gesture) {
      write(present, says);
      return undefined;
    }
    if (visit?.gesture !== gesture.id)
      visit = { gesture: gesture.id, before, plan: present, written: [], timer: undefined };
    const here = visit;
    // nothing is written of it, and nothing is to be taken back
    if (same(says, restoring(here.before, says))) {
      takeBack(here);
      return undefined;
    }
    gesture.changes(() => {
      takeBack(here);
    });
    clearTimeout(here.timer);
    here.timer = setTimeout(writeTyped, WRITE_MS);
    dispatch(typedShown({ gesture: gesture.id, says, at }));
    return undefined;
  };
