import { clip, type Plane } from './clip.ts';
import type { Polyhedron } from './polyhedron.ts';
import type { Vec3 } from './vec.ts';

/** The convex polygon in which a plane cuts a solid; [] when it misses. */
export const slice = (solid: Polyhedron, plane: Plane): readonly Vec3[] => clip(solid, plane).cut;
