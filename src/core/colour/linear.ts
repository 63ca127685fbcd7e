import { BANDS, xyzOf } from './observer.ts';

/** Linear sRGB, each 0..1 inside the gamut. */
export type Linear = readonly [number, number, number];

/** XYZ (D65, white Y = 1) to linear sRGB, rows R, G, B (IEC 61966-2-1, from memory). */
const FROM_XYZ = [
  [3.2406255, -1.537208, -0.4986286],
  [-0.9689307, 1.8757561, 0.0415175],
  [0.0557101, -0.2040211, 1.0569959],
] as const;

const times = (row: readonly number[], v: readonly number[]): number =>
  row.reduce((s, x, i) => s + x * (v[i] ?? 0), 0);

/**
 * Weights that turn a curve of reflectances into linear sRGB: three rows of 36. Each row is scaled to add up
 * to 1, so that a perfect white is exactly (1, 1, 1); that moves it by less than 0.1 %.
 */
export const TO_LINEAR: readonly [Float64Array, Float64Array, Float64Array] = (() => {
  const row = (channel: readonly number[]): Float64Array => {
    const weights = Float64Array.from({ length: BANDS }, (_, band) => {
      const one = new Float64Array(BANDS);
      one[band] = 1;
      return times(channel, xyzOf(one));
    });
    const whole = weights.reduce((a, b) => a + b, 0);
    return weights.map((w) => w / whole);
  };
  return [row(FROM_XYZ[0]), row(FROM_XYZ[1]), row(FROM_XYZ[2])];
})();

/** Linear sRGB of a curve of 36 reflectances under D65. Saturated curves may lie outside 0..1. */
export function linearOf(reflectances: Float64Array): Linear {
  const [red, green, blue] = TO_LINEAR;
  let r = 0;
  let g = 0;
  let b = 0;
  for (let i = 0; i < BANDS; i += 1) {
    const x = reflectances[i] as number;
    r += (red[i] as number) * x;
    g += (green[i] as number) * x;
    b += (blue[i] as number) * x;
  }
  return [r, g, b];
}
