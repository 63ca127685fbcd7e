import * as v from 'valibot';
import { id, listOf, name } from '../validate/fields.ts';
import { eventSchema, wholePlan } from './eventSchema.ts';
import { whenSchema } from './when.ts';

/**
 * A plan carried out: what was really done. The plan in it is as it was at the start; events are only ever
 * added.
 */
export const batchSchema = v.strictObject({
  id,
  name: name(120),
  started: whenSchema,
  ...wholePlan,
  /** not frozen at the start, but as it was found with what had been done of it */
  planAsFound: v.optional(v.literal(true)),
  events: listOf(eventSchema, 10000, 'at most 10 000 events'),
  photos: listOf(id, 500, 'at most 500 photographs'),
});

export type Batch = v.InferOutput<typeof batchSchema>;
