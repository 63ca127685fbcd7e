import { extent, type Polyhedron } from './polyhedron.ts';
import { between, cross, dot, sub, type Vec3 } from './vec.ts';

/**
 * A half-space boundary: the points x with `normal . x = offset`. `normal` need not be a unit vector, but
 * every caller here passes one, so that `offset` is a distance in mm.
 */
export interface Plane {
  readonly normal: Vec3;
  readonly offset: number;
}

export interface Parts {
  /** normal . x <= offset */
  readonly below: Polyhedron;
  /** normal . x >= offset */
  readonly above: Polyhedron;
  /** the cut face, anticlockwise seen from above (from the side the normal points to); [] when it misses */
  readonly cut: readonly Vec3[];
}

/**
 * Points nearer to the plane than this count as on it. Coordinates carry about 1e-16 relative rounding
 * and pass through at most a few dozen clips; 1e-12 of the solid's size stays above that dust while the
 * volume it can misplace (size^2 x 1e-12 size) stays below 1e-11 relative.
 */
const ON_PLANE = 1e-12;

interface Split {
  readonly below: Vec3[];
  readonly above: Vec3[];
  readonly on: Vec3[];
}

/** Where the edge meets the plane, computed from its lower end so that both its faces get the same bits. */
const crossing = (p: Vec3, dp: number, q: Vec3, dq: number): Vec3 =>
  dp < dq ? between(p, q, dp / (dp - dq)) : between(q, p, dq / (dq - dp));

function splitFace(face: readonly Vec3[], distance: (p: Vec3) => number): Split {
  const split: Split = { below: [], above: [], on: [] };
  let previous = face[face.length - 1] as Vec3;
  let dPrevious = distance(previous);
  for (const point of face) {
    const d = distance(point);
    if ((dPrevious < 0 && d > 0) || (dPrevious > 0 && d < 0)) {
      const x = crossing(previous, dPrevious, point, d);
      split.below.push(x);
      split.above.push(x);
      split.on.push(x);
    }
    if (d <= 0) split.below.push(point);
    if (d >= 0) split.above.push(point);
    if (d === 0) split.on.push(point);
    previous = point;
    dPrevious = d;
  }
  return split;
}

/** Order points of a convex polygon anticlockwise about `normal`, dropping repeats. */
function ring(points: readonly Vec3[], normal: Vec3, tolerance: number): Vec3[] {
  const distinct: Vec3[] = [];
  for (const p of points) {
    const repeat = distinct.some(
      (q) => Math.abs(p[0] - q[0]) + Math.abs(p[1] - q[1]) + Math.abs(p[2] - q[2]) <= tolerance,
    );
    if (!repeat) distinct.push(p);
  }
  if (distinct.length < 3) return [];
  const n = distinct.length;
  const centre: Vec3 = [
    distinct.reduce((s, p) => s + p[0], 0) / n,
    distinct.reduce((s, p) => s + p[1], 0) / n,
    distinct.reduce((s, p) => s + p[2], 0) / n,
  ];
  const first = sub(distinct[0] as Vec3, centre);
  const second = cross(normal, first);
  const angle = (p: Vec3): number => {
    const r = sub(p, centre);
    return Math.atan2(dot(r, second), dot(r, first));
  };
  return distinct
    .map((p) => ({ p, a: angle(p) }))
    .sort((s, t) => s.a - t.a)
    .map((s) => s.p);
}

/**
 * The convex polygon in which a plane cuts a solid, as `clip` would cut it; [] when it misses or only
 * touches.
 */
export function slice(solid: Polyhedron, plane: Plane): readonly Vec3[] {
  const tolerance = ON_PLANE * extent(solid);
  const on: Vec3[] = [];
  for (const face of solid.faces) {
    let p = face[face.length - 1] as Vec3;
    let dp = dot(plane.normal, p) - plane.offset;
    for (const q of face) {
      const dq = dot(plane.normal, q) - plane.offset;
      if (Math.abs(dq) <= tolerance) on.push(q);
      // each edge is met twice, once from each of its faces: rising only
      else if (dp < -tolerance && dq > tolerance) on.push(between(p, q, dp / (dp - dq)));
      p = q;
      dp = dq;
    }
  }
  return ring(on, plane.normal, tolerance * 8);
}

/**
 * Cut a convex solid in two by a plane. Both parts stay convex and closed; either may be empty.
 * Sutherland & Hodgman, "Reentrant polygon clipping", 1974, applied face by face, plus the cut face.
 */
export function clip(solid: Polyhedron, plane: Plane): Parts {
  const tolerance = ON_PLANE * extent(solid);
  const distance = (p: Vec3): number => {
    const d = dot(plane.normal, p) - plane.offset;
    return Math.abs(d) <= tolerance ? 0 : d;
  };
  const below: Vec3[][] = [];
  const above: Vec3[][] = [];
  const on: Vec3[] = [];
  let anyBelow = false;
  let anyAbove = false;
  for (const face of solid.faces) {
    const split = splitFace(face, distance);
    const keepsBelow = split.below.some((p) => distance(p) < 0);
    const keepsAbove = split.above.some((p) => distance(p) > 0);
    anyBelow ||= keepsBelow;
    anyAbove ||= keepsAbove;
    if (keepsBelow && split.below.length >= 3) below.push(split.below);
    if (keepsAbove && split.above.length >= 3) above.push(split.above);
    // a face that lies in the plane is the cut itself: it is made once, below
    on.push(...split.on);
  }
  if (!anyAbove) return { below: solid, above: { faces: [] }, cut: [] };
  if (!anyBelow) return { below: { faces: [] }, above: solid, cut: [] };
  const cut = ring(on, plane.normal, tolerance * 8);
  if (cut.length < 3) return { below: { faces: below }, above: { faces: above }, cut };
  return {
    below: { faces: [...below, cut] },
    above: { faces: [...above, cut.toReversed()] },
    cut,
  };
}

/** What of a solid lies between two planes of one normal. */
export const slabOf = (solid: Polyhedron, normal: Vec3, low: number, high: number): Polyhedron =>
  clip(clip(solid, { normal, offset: low }).above, { normal, offset: high }).below;
