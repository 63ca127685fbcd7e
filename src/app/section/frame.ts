import type { ViewPoint } from '../../core/mould/sectionView.ts';
import type { Inside } from '../../core/mould/inside.ts';
import type { Mould } from '../../core/mould/schema.ts';

/** Wall thickness drawn for each material, mm: for the picture only, nothing is computed from it. */
export const WALL_MM: Readonly<Record<Mould['material'], number>> = { wood: 9, silicone: 5, plastic: 3 };

export interface Margins {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Maps mould millimetres to drawing pixels at one scale; z up becomes y down. */
export interface Frame {
  readonly scale: number;
  readonly x: (h: number) => number;
  readonly y: (z: number) => number;
  readonly toZ: (py: number) => number;
}

/** The largest scale at which the mould with its walls fits inside the margins, in the middle or at the foot. */
export function fitFrame(
  inside: Inside,
  wall: number,
  width: number,
  height: number,
  m: Margins,
  stands: 'middle' | 'foot' = 'middle',
): Frame {
  const widest = Math.max(inside.floor.width, inside.rim.width) + 2 * wall;
  const tallest = inside.heightMm + wall;
  const room = { w: Math.max(40, width - m.left - m.right), h: Math.max(40, height - m.top - m.bottom) };
  const scale = Math.min(room.w / widest, room.h / tallest);
  const centre = m.left + room.w / 2;
  const spare = room.h - tallest * scale;
  const foot = m.top + room.h - (stands === 'middle' ? spare / 2 : 0) - wall * scale;
  return {
    scale,
    x: (h) => centre + h * scale,
    y: (z) => foot - z * scale,
    toZ: (py) => (foot - py) / scale,
  };
}

export const pathOf = (points: readonly ViewPoint[], frame: Frame): string =>
  points.length === 0
    ? ''
    : `M${points.map((p) => `${frame.x(p.h).toFixed(2)},${frame.y(p.z).toFixed(2)}`).join('L')}Z`;

/** Middle of a polygon's corners: where its letter goes. */
export function middle(points: readonly ViewPoint[]): ViewPoint {
  let area = 0;
  let h = 0;
  let z = 0;
  for (const [i, p] of points.entries()) {
    const q = points[(i + 1) % points.length] ?? p;
    const cross = p.h * q.z - q.h * p.z;
    area += cross;
    h += (p.h + q.h) * cross;
    z += (p.z + q.z) * cross;
  }
  return area === 0 ? { h: 0, z: 0 } : { h: h / (3 * area), z: z / (3 * area) };
}
