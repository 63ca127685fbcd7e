import * as v from 'valibot';

/**
 * How a thing lies in a mould: `lengthwise` along the loaf, from end to end; `crosswise` from side to side.
 */
export const runsSchema = v.picklist(['lengthwise', 'crosswise']);
export type Runs = v.InferOutput<typeof runsSchema>;
