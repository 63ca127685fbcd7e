import { labOfBody, stir, type Body } from './body.ts';
import { difference } from './difference.ts';

/**
 * Shift of a colour (CIEDE2000) when `residueG` of another is left in the jug that `massG` of it goes into.
 */
export const carryOver = (left: Body, residueG: number, next: Body, massG: number): number =>
  difference(
    labOfBody(next),
    labOfBody(
      stir([
        { body: next, part: massG },
        { body: left, part: residueG },
      ]),
    ),
  );
