import { colorantId, stepId } from '../validate/ids.ts';
import * as v from 'valibot';
import { id, listOf, massG, moment } from '../validate/fields.ts';

const event = { id, at: moment, pour: stepId };

/**
 * What really happened at a pour, written down as it happened. Nothing written is changed: what was wrong is followed by what is
 * right, or by what takes it back.
 */
export const eventSchema = v.variant('does', [
  v.strictObject({ ...event, does: v.literal('poured'), massG: massG(0, 200000) }),
  /** all that was stirred in, by colorant */
  v.strictObject({
    ...event,
    does: v.literal('added'),
    added: listOf(
      v.strictObject({ colorant: colorantId, massG: massG(0, 5000) }),
      12,
      'at most 12 colorants',
    ),
  }),
  /** it went as planned after all */
  v.strictObject({ ...event, does: v.literal('as-planned'), what: v.picklist(['poured', 'added']) }),
]);

/** A plan carried out. */
export const batchSchema = v.strictObject({
  started: moment,
  events: listOf(eventSchema, 1000, 'at most 1000 entries'),
});

export type Batch = v.InferOutput<typeof batchSchema>;
export type BatchEvent = v.InferOutput<typeof eventSchema>;
export type AddedColorants = Extract<BatchEvent, { does: 'added' }>['added'];
