import { decode, hexOfLinear } from './hex.ts';
import type { Linear } from './linear.ts';

/** What a white thing in a photograph is taken to reflect: good paper, not a perfect white. */
const PAPER = 0.9;

/** Linear sRGB averaged over a patch of 8-bit sRGB pixels (r, g, b, a, r, g, b, a ...). */
export function averageOf(pixels: ArrayLike<number>): Linear {
  const sum = [0, 0, 0] as [number, number, number];
  const count = pixels.length / 4;
  for (let i = 0; i < pixels.length; i += 4)
    for (const c of [0, 1, 2] as const) sum[c] += decode((pixels[i + c] ?? 0) / 255) / count;
  return sum;
}

/**
 * A colour of a photograph as "#rrggbb", corrected so that the thing clicked as white is a neutral white:
 * each channel scaled by its own factor (von Kries in linear sRGB). Undefined when that white is too dark to
 * judge by (below 5 %).
 */
export function balanced(colour: Linear, white: Linear | undefined): string | undefined {
  if (!white) return hexOfLinear(colour);
  if (Math.min(...white) < 0.05) return undefined;
  return hexOfLinear([
    (colour[0] * PAPER) / white[0],
    (colour[1] * PAPER) / white[1],
    (colour[2] * PAPER) / white[2],
  ]);
}
