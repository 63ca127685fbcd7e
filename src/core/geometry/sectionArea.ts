import type { Polyhedron } from './polyhedron.ts';
import { between, cross, dot, type Vec3 } from './vec.ts';

/**
 * Area in mm^2 of the slice `normal . x = offset` through a convex solid, `normal` a unit vector.
 * Meant for planes that pass through no corner; then every face crossed gives exactly one directed
 * segment and no polygon has to be built.
 */
export function sectionArea(solid: Polyhedron, normal: Vec3, offset: number): number {
  let twice = 0;
  let origin: Vec3 | undefined;
  for (const face of solid.faces) {
    let enter: Vec3 | undefined;
    let leave: Vec3 | undefined;
    let p = face[face.length - 1] as Vec3;
    let dp = dot(normal, p) - offset;
    for (const q of face) {
      const dq = dot(normal, q) - offset;
      if (dp <= 0 && dq > 0) leave = between(p, q, dp / (dp - dq));
      else if (dp > 0 && dq <= 0) enter = between(p, q, dp / (dp - dq));
      p = q;
      dp = dq;
    }
    if (!enter || !leave) continue;
    origin ??= enter;
    const a: Vec3 = [enter[0] - origin[0], enter[1] - origin[1], enter[2] - origin[2]];
    const b: Vec3 = [leave[0] - origin[0], leave[1] - origin[1], leave[2] - origin[2]];
    twice += dot(normal, cross(a, b));
  }
  return Math.abs(twice) / 2;
}
