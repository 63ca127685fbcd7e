import { labOfBody, stir, type Body } from './body.ts';
import { difference } from './difference.ts';
import { chromaOf } from './lab.ts';

/** Shift of a colour (CIEDE2000) when `residueG` of another is left in the jug that `massG` of it goes into. */
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

/** A parent with less chroma than this has no colour to lose. */
const COLOURED = 12;

/**
 * Chroma of two colours stirred half and half as a part of the duller parent's; undefined when either is nearly
 * neutral. Below 0.6 it reads as mud: the loss of chroma is trusted, the hue that the curves give is not.
 */
export function chromaKept(one: Body, other: Body): number | undefined {
  const duller = Math.min(chromaOf(labOfBody(one)), chromaOf(labOfBody(other)));
  if (duller < COLOURED) return undefined;
  const mixed = stir([
    { body: one, part: 1 },
    { body: other, part: 1 },
  ]);
  return chromaOf(labOfBody(mixed)) / duller;
}

/** Below this part of the duller parent's chroma a mix is called mud (models: a judgement, no source). */
export const MUD_BELOW = 0.6;
