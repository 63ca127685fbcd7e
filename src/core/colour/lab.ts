import { linearOfHex } from './hex.ts';
import type { Linear } from './linear.ts';

/** CIE L*a*b* under D65: L 0..100, a towards red, b towards yellow. */
export type Lab = readonly [number, number, number];

/** CIE 1976 lightness response (CIE 15, Colorimetry; from memory). */
const response = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116);

/** Linear sRGB to L*a*b*; each row is sRGB's XYZ divided by its white, so that (1, 1, 1) is (100, 0, 0). */
export function labOfLinear([r, g, b]: Linear): Lab {
  const x = response((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const y = response(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const z = response((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

export const labOfHex = (hex: string): Lab => labOfLinear(linearOfHex(hex));

export const chromaOf = ([, a, b]: Lab): number => Math.hypot(a, b);

/** Hue angle, degrees 0..360: 0 red, 90 yellow, 180 green, 270 blue. */
export const hueOf = ([, a, b]: Lab): number => ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
