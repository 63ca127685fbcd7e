import type { Millimetres } from '../units/quantity.ts';
import type { Face } from './face.ts';

/** A face with the frame it stands in, mm: `left` to `right`, `foot` to `head`. */
export interface FramedFace {
  readonly face: Face;
  readonly left: Millimetres;
  readonly right: Millimetres;
  readonly foot: Millimetres;
  readonly head: Millimetres;
}

/**
 * At least this frame, and as much more as what is in it takes: walls that lean, a slope above the fill line.
 */
export function framed({ face, left, right, foot, head }: FramedFace): FramedFace {
  const points = face.flatMap((b) => b.outline);
  const hs = points.map((p) => p.h);
  const zs = points.map((p) => p.z);
  return {
    face,
    left: Math.min(left, ...hs),
    right: Math.max(right, ...hs),
    foot: Math.min(foot, ...zs),
    head: Math.max(head, ...zs),
  };
}

/** The largest scale at which a framed face fits: px per mm. */
export const scaleFor = ({ left, right, foot, head }: FramedFace, width: number, height: number): number =>
  Math.min(width / (right - left), height / (head - foot));
