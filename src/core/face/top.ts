import type { Body } from '../pattern/body.ts';
import { facetsOf } from './facets.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Band, Face, Swirl } from './face.ts';

/** The loaf from straight above, as it is poured: x to the right, the near end at the foot. */
export const topOf = (bodies: readonly Body[]): Face =>
  facetsOf(bodies, { azimuth: 0, elevation: 90 }, undefined).map(
    ({ pourId, nth, letters, points, corners, plane }): Band => ({
      pourId,
      nth,
      letters,
      outline: points.map(([h, z]) => ({ h, z })),
      ...(plane?.band.swirl ? { swirl: { ...plane.band.swirl, ...planeUnder(corners) } } : {}),
    }),
  );

/** Where a point seen from above is on a facet: its height follows from its place. A facet that is seen from above is not upright (Newell's normal). */
function planeUnder(corners: readonly Vec3[]): Omit<Swirl, 'content'> {
  let [nx, ny, nz] = [0, 0, 0];
  for (const [i, [ax, ay, az]] of corners.entries()) {
    const [bx, by, bz] = corners[(i + 1) % corners.length] as Vec3;
    nx += (ay - by) * (az + bz);
    ny += (az - bz) * (ax + bx);
    nz += (ax - bx) * (ay + by);
  }
  const [x, y, z] = corners[0] as Vec3;
  const [sx, sy] = [-nx / nz, -ny / nz];
  return { origin: [0, 0, z - sx * x - sy * y], across: [1, 0, sx], up: [0, 1, sy] };
}
