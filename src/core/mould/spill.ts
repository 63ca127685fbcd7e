import { fillProfile } from '../geometry/fillProfile.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import type { Degrees, Millilitres, Millimetres } from '../units/quantity.ts';
import { MM3_PER_ML, type MouldGeometry } from './geometry.ts';
import { STEEPEST_DEG, upOf, type Tilt } from './tilt.ts';

/** The surface offset at which batter starts to run over the rim: min over rim points of up . point. */
export const spillOffset = (geometry: MouldGeometry, up: Vec3): Millimetres =>
  geometry.rim.reduce((least, p) => Math.min(least, dot(up, p)), Infinity);

/** The most that fits into `space` (what the set layers leave) at this tilt before it runs over. */
export const tiltHolds = (geometry: MouldGeometry, space: Polyhedron, tilt: Tilt): Millilitres => {
  const up = upOf(tilt);
  return fillProfile(space, up).volumeBelow(spillOffset(geometry, up)) / MM3_PER_ML;
};

/**
 * The steepest tilt in the same direction at which `space` still holds `volumeMl`, to 0.01 degrees; 60 degrees
 * when it always does; 0 when it does not fit level. `tilt` gives the direction (level: rolls to the right).
 */
export function steepestTilt(
  geometry: MouldGeometry,
  space: Polyhedron,
  tilt: Tilt,
  volumeMl: Millilitres,
): Degrees {
  const size = Math.max(Math.abs(tilt.rollDeg), Math.abs(tilt.pitchDeg));
  const direction =
    size === 0
      ? { rollDeg: 1, pitchDeg: 0 }
      : { rollDeg: tilt.rollDeg / size, pitchDeg: tilt.pitchDeg / size };
  const fits = (degrees: number): boolean =>
    tiltHolds(geometry, space, {
      rollDeg: direction.rollDeg * degrees,
      pitchDeg: direction.pitchDeg * degrees,
    }) >=
    volumeMl * (1 - 1e-9);
  if (fits(STEEPEST_DEG)) return STEEPEST_DEG;
  let low = 0;
  let high: number = STEEPEST_DEG;
  while (high - low > 0.005) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}
