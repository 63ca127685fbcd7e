import { lengthMm } from '../validate/fields.ts';

/** A spot of the plan, from the middle of the floor: right, and towards the far end. */
export const spot = { xMm: lengthMm(-1000, 1000), yMm: lengthMm(-1000, 1000) };
