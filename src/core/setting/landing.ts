import * as v from 'valibot';
import { lengthMm } from '../validate/fields.ts';

/** How a pour comes down on what is there, and from how high in effect. */
export const landingSchema = v.strictObject({
  how: v.picklist(['stream', 'low', 'spatula', 'spoon']),
  fallMm: lengthMm(1, 500),
});

export type Landing = v.InferOutput<typeof landingSchema>;
