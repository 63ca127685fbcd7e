import type { StepId } from '../validate/ids.ts';
import { clip } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { cross, dot, sub, type Vec3 } from '../geometry/vec.ts';
import type { PouredLayer } from '../fill/layers.ts';

/** Where the loaf is seen from: azimuth about z (0 from the near end), elevation above the bench, degrees. */
export interface Eye {
  readonly azimuth: number;
  readonly elevation: number;
}

export interface Facet {
  readonly pourId: StepId;
  /** screen points in mm, x right, y up */
  readonly points: readonly (readonly [number, number])[];
  /** 0 dark to 1 light */
  readonly light: number;
}

const RADIANS = Math.PI / 180;

interface Camera {
  readonly right: Vec3;
  readonly up: Vec3;
  readonly towards: Vec3;
}

function cameraOf({ azimuth, elevation }: Eye): Camera {
  const [ca, sa] = [Math.cos(azimuth * RADIANS), Math.sin(azimuth * RADIANS)];
  const [ce, se] = [Math.cos(elevation * RADIANS), Math.sin(elevation * RADIANS)];
  return {
    right: [ca, sa, 0],
    up: [-sa * se, ca * se, ce],
    towards: [sa * ce, -ca * ce, se],
  };
}

const normalOf = (face: readonly Vec3[]): Vec3 => {
  const n = cross(sub(face[1] as Vec3, face[0] as Vec3), sub(face[2] as Vec3, face[0] as Vec3));
  const length = Math.hypot(...n);
  return length === 0 ? [0, 0, 0] : [n[0] / length, n[1] / length, n[2] / length];
};

/** A face that starts with very short edges has no sure normal; start it at its longest edge. */
function steady(face: readonly Vec3[]): readonly Vec3[] {
  let best = 0;
  let most = 0;
  for (const [i, p] of face.entries()) {
    const q = face[(i + 1) % face.length] as Vec3;
    const length = Math.hypot(...sub(q, p));
    if (length > most) [best, most] = [i, length];
  }
  return [...face.slice(best), ...face.slice(0, best)];
}

/**
 * The faces of the poured loaf that look towards the eye, drawn back to front. Layers are convex and each lies on
 * the upper side of those poured before it, so drawing them in the order they were poured is right for an eye
 * above the surfaces. `keep` cuts the loaf away in front of a plane across it (y >= keep stays).
 */
export function facetsOf(
  layers: readonly PouredLayer[],
  eye: Eye,
  keep: number | undefined,
): readonly Facet[] {
  const camera = cameraOf(eye);
  return layers.flatMap((layer) => {
    const solid: Polyhedron =
      keep === undefined ? layer.solid : clip(layer.solid, { normal: [0, 1, 0], offset: keep }).above;
    return solid.faces.flatMap((raw): Facet[] => {
      const face = steady(raw);
      const normal = normalOf(face);
      if (dot(normal, camera.towards) <= 1e-9) return [];
      return [
        {
          pourId: layer.pour.id,
          points: face.map((p) => [dot(camera.right, p), dot(camera.up, p)] as const),
          light: 0.62 + 0.38 * Math.max(0, dot(normal, [0.35, -0.45, 0.82])),
        },
      ];
    });
  });
}
