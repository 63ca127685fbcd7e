import type { FramedFace } from '../../core/face/framed.ts';
import type { MouldGeometry } from '../../core/mould/geometry.ts';
import type { Mould } from '../../core/mould/schema.ts';
import type { View, ViewPoint } from '../../core/mould/sectionView.ts';

/** Walls are drawn at least this thick, mm, so that thin ones still read as walls. */
const THINNEST_DRAWN_MM = 3;

export const drawnWallMm = (mould: Mould): number => Math.max(THINNEST_DRAWN_MM, mould.wallMm);

export interface Margins {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/**
 * Maps mould millimetres to drawing pixels at one scale; z up becomes y down. `turned` adds the mould's tilt
 * about the middle of the drawing, lifted side up.
 */
export interface Frame {
  readonly scale: number;
  readonly degrees: number;
  readonly centre: { readonly x: number; readonly y: number };
  readonly x: (h: number) => number;
  readonly y: (z: number) => number;
  /** where a point of the mould stands on screen once tilted */
  readonly turned: (p: ViewPoint) => { readonly x: number; readonly y: number };
  /** the mould point under a place on screen */
  readonly under: (px: number, py: number) => ViewPoint;
}

interface Fit {
  /** inside width in this view, and inside height, mm */
  readonly wide: number;
  readonly high: number;
  readonly wall: number;
  /** below the inside, before the wall: a mat */
  readonly under?: number;
  readonly width: number;
  readonly height: number;
  readonly margins: Margins;
  readonly degrees?: number;
  readonly stands?: 'middle' | 'foot';
}

export const wideIn = (geometry: MouldGeometry, view: View): number =>
  view === 'section' ? geometry.most.width : geometry.most.length;

/** The largest scale at which the mould with its walls, tilted, fits inside the margins. */
export function fitFrame(fit: Fit): Frame {
  const { wall, margins: m, degrees = 0, stands = 'middle', under = 0 } = fit;
  const wide = fit.wide + 2 * wall;
  const high = fit.high + wall + under;
  const angle = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const room = {
    w: Math.max(40, fit.width - m.left - m.right),
    h: Math.max(40, fit.height - m.top - m.bottom),
  };
  const box = { w: wide * c + high * Math.abs(s), h: wide * Math.abs(s) + high * c };
  const scale = Math.min(room.w / box.w, room.h / box.h);
  const spare = room.h - box.h * scale;
  const centre = {
    x: m.left + room.w / 2,
    y: m.top + (stands === 'middle' ? spare / 2 : spare) + (box.h * scale) / 2,
  };
  const middleZ = (fit.high - wall - under) / 2;
  const x = (h: number): number => centre.x + h * scale;
  const y = (z: number): number => centre.y - (z - middleZ) * scale;
  return {
    scale,
    degrees,
    centre,
    x,
    y,
    turned: (p) => {
      const [dx, dy] = [p.h * scale, (p.z - middleZ) * scale];
      return { x: centre.x + dx * c - dy * s, y: centre.y - (dx * s + dy * c) };
    },
    under: (px, py) => {
      const [dx, dy] = [(px - centre.x) / scale, (centre.y - py) / scale];
      return { h: dx * c + dy * s, z: -dx * s + dy * c + middleZ };
    },
  };
}

/** What maps mm to px without a tilt. */
export type Scale = Pick<Frame, 'scale' | 'x' | 'y'>;

/** A framed face in the middle of its place, at a scale. */
export function fitFace(
  { left, right, foot, head }: FramedFace,
  width: number,
  height: number,
  scale: number,
): Scale {
  return {
    scale,
    x: (h) => width / 2 + (h - (left + right) / 2) * scale,
    y: (z) => height / 2 - (z - (foot + head) / 2) * scale,
  };
}

export const pathOf = (points: readonly ViewPoint[], frame: Scale): string =>
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
