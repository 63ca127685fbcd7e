import type { Polyhedron } from './polyhedron.ts';
import { cross, dot, sub, type Vec3 } from './vec.ts';

/** Volume in mm^3, by tetrahedra from one corner (divergence theorem); 0 for an empty solid. */
export function volumeOf(solid: Polyhedron): number {
  const apex = solid.faces[0]?.[0];
  if (!apex) return 0;
  let six = 0;
  for (const face of solid.faces) {
    const a = sub(face[0] as Vec3, apex);
    for (let i = 2; i < face.length; i += 1)
      six += dot(a, cross(sub(face[i - 1] as Vec3, apex), sub(face[i] as Vec3, apex)));
  }
  return six / 6;
}
