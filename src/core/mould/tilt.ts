import type { Vec3 } from '../geometry/vec.ts';
import type { Degrees } from '../units/quantity.ts';

/** Roll lifts the +x (right) long edge, pitch lifts the +y (far) end. */
export interface Tilt {
  readonly rollDeg: Degrees;
  readonly pitchDeg: Degrees;
}

export const LEVEL: Tilt = { rollDeg: 0, pitchDeg: 0 };

const RADIANS = Math.PI / 180;

/**
 * The world's "up" seen in the mould frame, a unit vector. A batter surface is `up . x = d`; with the
 * right edge lifted it stands higher on the left wall.
 */
export function upOf(tilt: Tilt): Vec3 {
  const r = tilt.rollDeg * RADIANS;
  const p = tilt.pitchDeg * RADIANS;
  return [Math.sin(r) * Math.cos(p), Math.sin(p), Math.cos(r) * Math.cos(p)];
}
