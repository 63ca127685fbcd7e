import type { Millimetres } from '../units/quantity.ts';
import type { MouldGeometry } from './geometry.ts';
import type { Mould } from './schema.ts';
import { propHeight, type Tilt } from './tilt.ts';

/** Something put under one edge of the mould. */
export interface Prop {
  readonly under: 'right edge' | 'left edge' | 'far end' | 'near end';
  readonly heightMm: Millimetres;
}

/** Outside width and length at the foot, where the mould stands. */
export const standsOn = (
  mould: Mould,
  geometry: MouldGeometry,
): { widthMm: Millimetres; lengthMm: Millimetres } => {
  const wall = 2 * (mould.wallMm + mould.linerMm);
  return { widthMm: geometry.floor.width + wall, lengthMm: geometry.floor.length + wall };
};

/** The props that make a tilt; both for a corner tilt, none when level. */
export function propsFor(mould: Mould, geometry: MouldGeometry, tilt: Tilt): readonly Prop[] {
  const { widthMm, lengthMm } = standsOn(mould, geometry);
  const props: Prop[] = [];
  if (tilt.rollDeg !== 0)
    props.push({
      under: tilt.rollDeg > 0 ? 'right edge' : 'left edge',
      heightMm: propHeight(widthMm, tilt.rollDeg),
    });
  if (tilt.pitchDeg !== 0)
    props.push({
      under: tilt.pitchDeg > 0 ? 'far end' : 'near end',
      heightMm: propHeight(lengthMm, tilt.pitchDeg),
    });
  return props;
}
