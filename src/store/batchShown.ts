import type { Batch } from '../core/batch/batchSchema.ts';
import { firstBatchId } from '../core/batch/ids.ts';
import { begunBatch, noted, type Said } from '../core/batch/note.ts';
import type { When } from '../core/batch/when.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { BatchState } from './batchSlice.ts';
import { PAGE_ID } from './page.ts';

/** The batch with these events, written by this page. */
export const stamped = (batch: Batch, says: readonly Said[], at: When): Batch =>
  says.reduce((b, said) => noted(b, said, { id: crypto.randomUUID(), device: PAGE_ID, at }), batch);

/** The batch that is going on of a plan, or one that begins. */
export const batchOf = ({ batch }: BatchState, plan: Plan, at: When): Batch =>
  batch?.plan.id === plan.id ? batch : begunBatch(plan, firstBatchId(plan.id), at);

/** The batch with what is typed in an open field, as if it were written down. */
export const asShown = (state: BatchState, plan: Plan): Batch | null =>
  state.typed
    ? stamped(batchOf(state, plan, state.typed.at), state.typed.says, state.typed.at)
    : state.batch?.plan.id === plan.id
      ? state.batch
      : null;
