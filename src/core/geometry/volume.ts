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

/**
 * Volume in mm^3 of the part of a convex solid where `normal . x <= offset`, `normal` a unit vector: by
 * tetrahedra from a point of the plane, so that the cut itself adds nothing and need not be built.
 */
export function volumeUnder(solid: Polyhedron, normal: Vec3, offset: number): number {
  const [ax, ay, az] = [normal[0] * offset, normal[1] * offset, normal[2] * offset];
  let six = 0;
  /** the part of a face below the plane, x y z point by point from `a` */
  const part: number[] = [];
  for (const face of solid.faces) {
    part.length = 0;
    let p = face[face.length - 1] as Vec3;
    let dp = dot(normal, p) - offset;
    for (const q of face) {
      const dq = dot(normal, q) - offset;
      if ((dp < 0 && dq > 0) || (dp > 0 && dq < 0)) {
        const t = dp / (dp - dq);
        part.push(
          p[0] + t * (q[0] - p[0]) - ax,
          p[1] + t * (q[1] - p[1]) - ay,
          p[2] + t * (q[2] - p[2]) - az,
        );
      }
      if (dq <= 0) part.push(q[0] - ax, q[1] - ay, q[2] - az);
      p = q;
      dp = dq;
    }
    six += fan(part);
  }
  return six / 6;
}

/** Six times the volume of the tetrahedra from the origin to a polygon's triangles, x y z point by point. */
function fan(polygon: readonly number[]): number {
  const at = (i: number): number => polygon[i] as number;
  let six = 0;
  for (let i = 6; i < polygon.length; i += 3) {
    const [bx, by, bz] = [at(i - 3), at(i - 2), at(i - 1)];
    const [cx, cy, cz] = [at(i), at(i + 1), at(i + 2)];
    six += at(0) * (by * cz - bz * cy) + at(1) * (bz * cx - bx * cz) + at(2) * (bx * cy - by * cx);
  }
  return six;
}
