import type { Polyhedron } from './polyhedron.ts';
import type { Vec3 } from './vec.ts';

/** A rectangle centred on the z axis, mm. */
export interface Rectangle {
  readonly width: number;
  readonly length: number;
}

const loop = (r: Rectangle, z: number): [Vec3, Vec3, Vec3, Vec3] => [
  [-r.width / 2, -r.length / 2, z],
  [r.width / 2, -r.length / 2, z],
  [r.width / 2, r.length / 2, z],
  [-r.width / 2, r.length / 2, z],
];

/** The solid between the rectangle `floor` at height `z0` and `top` at `z1` (z1 > z0), mm. */
export function frustum(floor: Rectangle, top: Rectangle, z0: number, z1: number): Polyhedron {
  const [a, b, c, d] = loop(floor, z0);
  const [e, f, g, h] = loop(top, z1);
  return {
    faces: [
      [d, c, b, a],
      [e, f, g, h],
      [a, b, f, e],
      [b, c, g, f],
      [c, d, h, g],
      [d, a, e, h],
    ],
  };
}
