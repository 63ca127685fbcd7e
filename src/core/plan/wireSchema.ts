import * as v from 'valibot';
import { lengthMm, listOf } from '../validate/fields.ts';
import { runsSchema } from '../mould/runs.ts';

/** How many points a wire's way may have. */
export const MOST_WIRE_POINTS = 120;

/** A place of the section that a wire is seen in: right of the middle (or beyond it), and above the floor. */
const wirePoint = v.strictObject({ acrossMm: lengthMm(-1000, 1000), heightMm: lengthMm(0, 600) });

/** A straight wire as long as the loaf, moved through the batter that is still fluid. */
export const wireFields = {
  /** it lies from end to end and is moved across, or from side to side and is moved along */
  lies: runsSchema,
  /** how thick it is, with what is on it */
  girthMm: lengthMm(0.5, 40),
  /** the length of its straight part; as long as the mould's inside, less a little, when absent */
  longMm: v.optional(lengthMm(10, 1500)),
  /** through these points, in order, in one smooth way */
  points: listOf(
    wirePoint,
    MOST_WIRE_POINTS,
    `a wire's way has at most ${MOST_WIRE_POINTS} points`,
    2,
    "a wire's way has two points at least",
  ),
};

export type WirePoint = v.InferOutput<typeof wirePoint>;
