import { edgesOf, isIn } from '../flow/outline.ts';
import { anticlockwise } from '../geometry/star.ts';
import type { MouldGeometry } from '../mould/geometry.ts';
import type { Mould } from '../mould/schema.ts';
import type { Wire } from '../plan/stepSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import { isRound, standsOnEnd } from '../mould/round.ts';

/** Why a straight wire does not go down in a mould of a shape; undefined where it does. */
export function tooRound(shape: Mould['shape'], lies: Wire['lies']): string | undefined {
  if (standsOnEnd(shape))
    return 'The mould is round: a straight wire as long as the mould does not go down in it.';
  if (lies === 'crosswise' && isRound(shape))
    return 'The mould is round across: a wire from side to side does not go down in it. Lay it from end to end.';
  return undefined;
}

/**
 * Whether a wire of so much half a girth has room at a place of the section: mm across from the middle, and
 * above the floor.
 */
type HasRoom = (acrossMm: Millimetres, heightMm: Millimetres, half: Millimetres) => boolean;

/** The room a wire has between the walls and over the floor of each compartment. */
export function roomFor({ rooms }: Pick<MouldGeometry, 'rooms'>, lies: Wire['lies']): HasRoom {
  const view = lies === 'lengthwise' ? 'section' : 'side';
  const outlines = rooms.map((r) => edgesOf(anticlockwise(r.outline[view].map((p) => [p.h, p.z] as const))));
  return (h, z, half) =>
    outlines.some(
      (o) => isIn(o, h - half, z) && isIn(o, h + half, z) && isIn(o, h, Math.max(0.01, z - half)),
    );
}
