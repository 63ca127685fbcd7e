import type { Body } from '../pattern/body.ts';
import { slice } from '../geometry/clip.ts';
import { corners } from '../geometry/polyhedron.ts';
import { facetsOf } from './facets.ts';
import { litBlock, openFrom } from './levels.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { swirlBand, type Band, type Face, type Swirl } from './face.ts';

/** The loaf from straight above, as it is poured: x to the right, the near end at the foot. */
export const topOf = (bodies: readonly Body[]): Face => [...planesOf(bodies), ...bodies.flatMap(openTop)];

/** A top that is no plane, from its highest place down. */
function openTop(body: Body): Face {
  const from = openFrom(body);
  if (from === undefined || body.kind === 'layer') return [];
  const { block } = body;
  if (block.content.kind === 'heaped' && block.content.heap.hangs) return [];
  const zs = corners(block.solid).map((p) => p[2]);
  const [low, high] = [Math.max(from, Math.min(...zs)), Math.max(...zs)];
  const outline = slice(block.solid, { normal: [0, 0, 1], offset: (low + high) / 2 });
  return [
    swirlBand(
      litBlock(block),
      outline.map(([h, z]) => ({ h, z })),
      { ...FROM_ABOVE, origin: [0, 0, high - HAIR], behind: { way: [0, 0, -1], mm: high - low - 2 * HAIR } },
    ),
  ];
}

/** x to the right, the near end at the foot. */
const FROM_ABOVE: Omit<Swirl, 'content' | 'origin'> = { across: [1, 0, 0], up: [0, 1, 0] };

/** A top is looked at this far inside it, mm. */
const HAIR = 0.01;

const planesOf = (bodies: readonly Body[]): Face =>
  facetsOf(bodies, { azimuth: 0, elevation: 90 }, undefined).map(
    ({ pourId, nth, letters, points, corners, plane }): Band => ({
      pourId,
      nth,
      letters,
      outline: points.map(([h, z]) => ({ h, z })),
      ...(plane?.band.swirl ? { swirl: { ...plane.band.swirl, ...planeUnder(corners) } } : {}),
    }),
  );

/**
 * Where a point seen from above is on a facet: its height follows from its place. A facet that is seen from
 * above is not upright (Newell's normal).
 */
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
