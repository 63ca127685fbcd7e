import { slice } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Millimetres } from '../units/quantity.ts';

/** A point of a flat view, mm: h to the right, z up. */
export interface ViewPoint {
  readonly h: number;
  readonly z: number;
}

export type View = 'section' | 'side';

/**
 * The polygon of a solid in a view. `section` looks along +y at the slice y = `at` (h is x, right wall on
 * the right); `side` looks along -x at the slice x = `at` (h is y). [] when the slice misses the solid.
 */
export function viewPolygon(solid: Polyhedron, view: View, at: Millimetres = 0): readonly ViewPoint[] {
  const normal: Vec3 = view === 'section' ? [0, 1, 0] : [1, 0, 0];
  return slice(solid, { normal, offset: at }).map(([x, y, z]) => ({ h: view === 'section' ? x : y, z }));
}

/**
 * Where a surface `up . x = offset` meets the outline of a view, leftmost point first; undefined when it
 * does not cross the outline. A surface that runs into the floor ends there.
 */
export function surfaceAcross(
  outline: readonly ViewPoint[],
  view: View,
  up: Vec3,
  offset: number,
  at: Millimetres = 0,
): readonly [ViewPoint, ViewPoint] | undefined {
  const side = view === 'section' ? up[0] : up[1];
  const away = view === 'section' ? up[1] : up[0];
  const distance = (p: ViewPoint): number => side * p.h + up[2] * p.z + away * at - offset;
  const met: ViewPoint[] = [];
  for (const [i, p] of outline.entries()) {
    const q = outline[(i + 1) % outline.length] as ViewPoint;
    const dp = distance(p);
    const dq = distance(q);
    if (dp > 0 === dq > 0) continue;
    const t = dp / (dp - dq);
    met.push({ h: p.h + (q.h - p.h) * t, z: p.z + (q.z - p.z) * t });
  }
  const [a, b] = met.sort((p, q) => p.h - q.h);
  return a && b ? [a, b] : undefined;
}
