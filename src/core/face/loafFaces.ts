import { bodiesOf } from '../pattern/blocks.ts';
import type { Millimetres } from '../units/quantity.ts';
import { faceAt, faceLevel, type Face } from './face.ts';
import { framed, type FramedFace } from './framed.ts';
import { topOf } from './top.ts';
import { mirrored, standsOnItsTop, undersideOf } from './turnedOver.ts';
import type { LaidFace } from './laid.ts';

/** As wide and as long as the mould inside. */
const fromAbove = ({ geometry }: LaidFace, face: Face): FramedFace => {
  const [wide, long] = [geometry.most.width / 2, geometry.most.length / 2];
  return framed({ face, left: -wide, right: wide, foot: -long, head: long });
};

/** The whole loaf cut across, so many mm from the near end, seen from there. */
export function sectionAt(laid: LaidFace, fromNearMm: Millimetres): FramedFace {
  const { most } = laid.geometry;
  const face = faceAt(bodiesOf(laid), 'section', fromNearMm - most.length / 2);
  const wide = most.width / 2;
  return framed({ face, left: -wide, right: wide, foot: 0, head: laid.fill.heightMm });
}

/** The whole loaf cut level, so many mm above the floor, seen from above with the near end at the foot. */
export const planAt = (laid: LaidFace, aboveFloorMm: Millimetres): FramedFace =>
  fromAbove(laid, faceLevel(bodiesOf(laid), aboveFloorMm));

/**
 * The top of the loaf as it stands, the near end at the foot: of one that was poured on a mat what lay on
 * that, right and left changed round.
 */
export function topFace(laid: LaidFace): FramedFace {
  if (!standsOnItsTop(laid.plan)) return fromAbove(laid, topOf(bodiesOf(laid)));
  return fromAbove(laid, mirrored(undersideOf(bodiesOf(laid))));
}
