import type { Vec3 } from '../geometry/vec.ts';
import type { Degrees, Millimetres } from '../units/quantity.ts';

/** Roll lifts the +x (right) long edge, pitch lifts the +y (far) end. */
export interface Tilt {
  readonly rollDeg: Degrees;
  readonly pitchDeg: Degrees;
}

export const LEVEL: Tilt = { rollDeg: 0, pitchDeg: 0 };

/** Tilts beyond this are refused: no mould stands so. */
export const STEEPEST_DEG = 60;

const RADIANS = Math.PI / 180;

export const isLevel = (tilt: Tilt): boolean => tilt.rollDeg === 0 && tilt.pitchDeg === 0;

export const sameTilt = (a: Tilt, b: Tilt): boolean => a.rollDeg === b.rollDeg && a.pitchDeg === b.pitchDeg;

/**
 * The world's "up" seen in the mould frame, a unit vector. A batter surface is `up . x = d`; with the
 * right edge lifted it stands higher on the left wall.
 */
export function upOf(tilt: Tilt): Vec3 {
  const r = tilt.rollDeg * RADIANS;
  const p = tilt.pitchDeg * RADIANS;
  return [Math.sin(r) * Math.cos(p), Math.sin(p), Math.cos(r) * Math.cos(p)];
}

/** Height of a prop under the edge of a mould whose outside is `acrossMm` from edge to edge: B sin r. */
export const propHeight = (acrossMm: Millimetres, degrees: Degrees): Millimetres =>
  acrossMm * Math.sin(Math.abs(degrees) * RADIANS);

/** The tilt that a prop of this height makes, degrees; undefined when it is higher than the mould is wide. */
export const tiltOfProp = (acrossMm: Millimetres, propMm: Millimetres): Degrees | undefined =>
  Math.abs(propMm) < acrossMm ? Math.asin(propMm / acrossMm) / RADIANS : undefined;

/** The tilt at which a surface falls by `dropMm` from one wall to the other, `acrossMm` apart. */
export const tiltOfDrop = (acrossMm: Millimetres, dropMm: Millimetres): Degrees =>
  Math.atan2(dropMm, acrossMm) / RADIANS;
