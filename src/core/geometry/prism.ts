import type { Polyhedron } from './polyhedron.ts';
import type { Vec3 } from './vec.ts';

/** A point of a flat outline, mm. */
export type Flat = readonly [a: number, b: number];

/** Sides of the polygon that stands for a whole circle. */
export const CIRCLE_SIDES = 120;

/** A convex prism: `outline` (anticlockwise seen from outside its far end) swept from end to end. */
const sweep = (near: readonly Vec3[], far: readonly Vec3[]): Polyhedron => ({
  faces: [
    far,
    near.toReversed(),
    ...near.map((a, i) => {
      const j = (i + 1) % near.length;
      return [a, near[j] as Vec3, far[j] as Vec3, far[i] as Vec3];
    }),
  ],
});

/** `outline` in (x, z), anticlockwise with x right and z up, lying along y with its middle at y = 0. */
export const lyingPrism = (outline: readonly Flat[], length: number): Polyhedron =>
  sweep(
    outline.map(([x, z]): Vec3 => [x, length / 2, z]),
    outline.map(([x, z]): Vec3 => [x, -length / 2, z]),
  );

/** `outline` in (x, y), anticlockwise seen from above, standing from z = 0 to `height`. */
export const standingPrism = (outline: readonly Flat[], height: number): Polyhedron =>
  sweep(
    outline.map(([x, y]): Vec3 => [x, y, 0]),
    outline.map(([x, y]): Vec3 => [x, y, height]),
  );

/**
 * An arc of a circle as a polygon whose area is that of the true sector or circle: `sides` equal chords from
 * angle `from` to `to` (radians, anticlockwise), the radius enlarged by sqrt(a / sin a) for chord angle a.
 */
export function arc(radius: number, from: number, to: number, sides: number): Flat[] {
  const step = (to - from) / sides;
  const r = radius * Math.sqrt(step / Math.sin(step));
  const closed = Math.abs(to - from) > 2 * Math.PI - 1e-9;
  return Array.from({ length: closed ? sides : sides + 1 }, (_, i): Flat => {
    const t = from + i * step;
    return [r * Math.cos(t), r * Math.sin(t)];
  });
}
