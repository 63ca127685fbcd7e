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

/**
 * The convex outline about some points (A. M. Andrew, "Another efficient algorithm for convex hulls in two
 * dimensions", 1979; from memory).
 */
function hull(points: readonly ViewPoint[]): readonly ViewPoint[] {
  const sorted = points.toSorted((a, b) => a.h - b.h || a.z - b.z);
  const side = (list: readonly ViewPoint[]): ViewPoint[] => {
    const kept: ViewPoint[] = [];
    for (const p of list) {
      for (;;) {
        const [a, b] = kept.slice(-2);
        if (!a || !b || (b.h - a.h) * (p.z - a.z) - (b.z - a.z) * (p.h - a.h) > 0) break;
        kept.pop();
      }
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return [...side(sorted), ...side(sorted.toReversed())];
}

/** Nearer than this, mm, and pieces of one thing touch. */
const TOUCHING = 1e-6;

/** Pieces of a view that stand side by side and touch, as one. */
export function joined(polygons: readonly (readonly ViewPoint[])[]): readonly (readonly ViewPoint[])[] {
  const whole: (readonly ViewPoint[])[] = [];
  let reach = -Infinity;
  const pieces = polygons
    .filter((p) => p.length > 2)
    .map((points) => ({
      points,
      from: Math.min(...points.map((p) => p.h)),
      to: Math.max(...points.map((p) => p.h)),
    }))
    .sort((a, b) => a.from - b.from);
  for (const { points, from, to } of pieces) {
    const last = whole.at(-1);
    if (last && from <= reach + TOUCHING) whole[whole.length - 1] = hull([...last, ...points]);
    else whole.push(points);
    reach = Math.max(last && from <= reach + TOUCHING ? reach : -Infinity, to);
  }
  return whole;
}
