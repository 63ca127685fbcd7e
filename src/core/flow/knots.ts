import { long, wide, type Box } from './box.ts';

/**
 * A smooth field over a rectangle, told between random knots so far apart, each from -1 to 1; `smooth` eases
 * from knot to knot, 0 to 1. Places are mm from its corner.
 */
export function knotted(
  box: Box,
  knotMm: number,
  random: () => number,
  smooth: (t: number) => number,
): (x: number, y: number) => number {
  const [kx, ky] = [Math.ceil(wide(box) / knotMm) + 2, Math.ceil(long(box) / knotMm) + 2];
  const knots = Float64Array.from({ length: kx * ky }, () => random() * 2 - 1);
  return (x, y) => {
    const [fx, fy] = [x / knotMm, y / knotMm];
    const [i, j] = [Math.floor(fx), Math.floor(fy)];
    const [a, b] = [smooth(fx - i), smooth(fy - j)];
    const row = (r: number): number =>
      (knots[r * kx + i] as number) * (1 - a) + (knots[r * kx + i + 1] as number) * a;
    return row(j) * (1 - b) + row(j + 1) * b;
  };
}
