import type { Shape } from '../../src/core/mould/schema.ts';

/** Walls that lean, a round floor, a round plan: what a box is not. */
export const OTHER_SHAPES: readonly Shape[] = [
  {
    kind: 'tapered',
    floorLengthMm: 190,
    floorWidthMm: 60,
    rimLengthMm: 215,
    rimWidthMm: 90,
    heightMm: 70,
  },
  { kind: 'half-round', lengthMm: 180, diameterMm: 120 },
  { kind: 'tube', stands: 'standing', lengthMm: 90, diameterMm: 110 },
];
