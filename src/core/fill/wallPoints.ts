import type { Vec3 } from '../geometry/vec.ts';
import type { Room } from '../mould/rooms.ts';
import type { ViewPoint } from '../mould/sectionView.ts';
import type { Wall } from '../plan/stepSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/** Where the left (-1) or right side of a flat outline stands at height z: the outermost h there. */
export function sideAt(outline: readonly ViewPoint[], z: Millimetres, sign: 1 | -1): Millimetres {
  let most = -Infinity;
  for (const [i, p] of outline.entries()) {
    const q = outline[(i + 1) % outline.length] as ViewPoint;
    const low = Math.min(p.z, q.z);
    const high = Math.max(p.z, q.z);
    if (z < low - 1e-9 || z > high + 1e-9) continue;
    const t = high - low < 1e-12 ? 0 : (z - p.z) / (q.z - p.z);
    // of an edge that lies level its other end is the next edge's first
    most = Math.max(most, sign * (p.h + (q.h - p.h) * t));
  }
  return most === -Infinity ? 0 : sign * most;
}

/**
 * The point of a compartment's wall at its middle and this height, mould frame. Left is -x, right +x, near
 * -y, far +y.
 */
export function wallPoint(room: Room, wall: Wall, heightMm: Millimetres): Vec3 {
  const z = Math.min(heightMm, room.heightMm);
  const across = wall === 'left' || wall === 'right';
  const outline = room.outline[across ? 'section' : 'side'];
  const at = sideAt(outline, z, wall === 'right' || wall === 'far' ? 1 : -1);
  return across ? [at, room.middle.y, heightMm] : [room.middle.x, at, heightMm];
}
