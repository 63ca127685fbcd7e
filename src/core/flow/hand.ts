import { long, pairsOf, wide, type Box } from './box.ts';
import { knotted } from './knots.ts';
import { numbers } from '../numeric/numbers.ts';
import type { Warp } from './stroke.ts';

/** Between the knots that a hand's waver is drawn through, mm. */
const KNOTS = 26;

/** The most that a hand wavers, mm. */
const MOST = 2.2;

const SPACING = 3;

const smooth = (t: number): number => t * t * t * (t * (6 * t - 15) + 10);

/**
 * A small waver, so that a picture looks poured and not printed: the batter turned a little about knots here
 * and there. It is the curl of a smooth field that vanishes at the walls, so that nothing goes through them
 * and areas stay. An estimate of nothing: for looks alone.
 */
export function waver(box: Box, hand: number, seed: number): Warp {
  const random = numbers(seed);
  const knots = knotted(box, KNOTS, random, smooth);
  const fade = (at: number, size: number): number => smooth(Math.min(1, Math.min(at, size - at) / KNOTS));
  const field = (x: number, y: number): number => knots(x, y) * fade(x, wide(box)) * fade(y, long(box));
  const nx = Math.max(8, Math.ceil(wide(box) / SPACING));
  const ny = Math.max(8, Math.ceil(long(box) / SPACING));
  const [dx, dy] = [wide(box) / nx, long(box) / ny];
  const xs = new Float64Array((nx + 1) * (ny + 1));
  const ys = new Float64Array(xs.length);
  // the steepest such a field gets between two knots is about twice their difference
  const size = (hand * MOST * KNOTS) / 4;
  const inside = (v: number, most: number): number => Math.min(most, Math.max(0, v));
  for (let j = 0; j <= ny; j += 1)
    for (let i = 0; i <= nx; i += 1) {
      const [x, y] = [i * dx, j * dy];
      const e = 0.5;
      const gx = (field(inside(x + e, wide(box)), y) - field(inside(x - e, wide(box)), y)) / (2 * e);
      const gy = (field(x, inside(y + e, long(box))) - field(x, inside(y - e, long(box)))) / (2 * e);
      xs[j * (nx + 1) + i] = box.x0 + inside(x + size * gy, wide(box));
      ys[j * (nx + 1) + i] = box.y0 + inside(y - size * gx, long(box));
    }
  return pairsOf(box, nx, ny, xs, ys);
}
