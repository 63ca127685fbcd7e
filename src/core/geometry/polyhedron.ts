import type { Vec3 } from './vec.ts';

/**
 * A convex solid as its faces. Each face is a planar convex polygon of at least three points, in order
 * anticlockwise seen from outside (its Newell normal points out). Faces share points by value.
 * An empty solid has no faces.
 */
export interface Polyhedron {
  readonly faces: readonly (readonly Vec3[])[];
}

/** All corner points, with repeats (each corner stands in three or more faces). */
export const corners = (solid: Polyhedron): readonly Vec3[] => solid.faces.flat();

/** Largest absolute coordinate, mm: the length that tolerances scale with. */
export function extent(solid: Polyhedron): number {
  let most = 0;
  for (const face of solid.faces)
    for (const p of face) most = Math.max(most, Math.abs(p[0]), Math.abs(p[1]), Math.abs(p[2]));
  return most;
}
