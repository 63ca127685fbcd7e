import { openProfile } from '../geometry/openProfile.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import type { Degrees, Millilitres, Millimetres } from '../units/quantity.ts';
import { MM3_PER_ML } from './geometry.ts';
import type { Room } from './rooms.ts';
import type { Layer } from './stack.ts';
import { STEEPEST_DEG, upOf, type Tilt } from './tilt.ts';

/** What is open before a pour. */
type OpenBefore = Pick<Layer, 'space' | 'blocked'>;

/** The surface offset at which batter starts to run over the rim: min over rim points of up . point. */
export const spillOffset = (room: Room, up: Vec3): Millimetres =>
  room.rim.reduce((least, p) => Math.min(least, dot(up, p)), Infinity);

/** The most that fits into what the set layers leave open at this tilt before it runs over. */
export const tiltHolds = (room: Room, open: OpenBefore, tilt: Tilt): Millilitres => {
  const up = upOf(tilt);
  return (
    openProfile([{ solid: open.space, blocked: open.blocked }], up).volumeBelow(spillOffset(room, up)) /
    MM3_PER_ML
  );
};

/**
 * The steepest tilt in the same direction at which the mould still holds `volumeMl`, to 0.01 degrees; 60
 * degrees when it always does; 0 when it does not fit level. `tilt` gives the direction (level: rolls to the
 * right).
 */
export function steepestTilt(room: Room, open: OpenBefore, tilt: Tilt, volumeMl: Millilitres): Degrees {
  const size = Math.max(Math.abs(tilt.rollDeg), Math.abs(tilt.pitchDeg));
  const direction =
    size === 0
      ? { rollDeg: 1, pitchDeg: 0 }
      : { rollDeg: tilt.rollDeg / size, pitchDeg: tilt.pitchDeg / size };
  const fits = (degrees: number): boolean =>
    tiltHolds(room, open, {
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
