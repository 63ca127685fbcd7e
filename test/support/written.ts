import type { Batch } from '../../src/core/batch/batchSchema.ts';
import { happenedIn, type HappenedByPour } from '../../src/core/batch/happened.ts';
import { begunBatch, noted, type Said } from '../../src/core/batch/note.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';

/** A batch of a plan in which this is written down, one after the other, a minute apart. */
export const written = (plan: Plan, ...says: readonly Said[]): Batch =>
  says.reduce(
    (batch, said, i) => noted(batch, said, { id: `e${i + 1}`, device: 'bench', at: { utcMs: 60_000 * i } }),
    begunBatch(plan, 'batch', { utcMs: 0 }),
  );

/** What happened of a plan, once this is written down of it. */
export const really = (plan: Plan, ...says: readonly Said[]): HappenedByPour =>
  happenedIn(written(plan, ...says), plan);
