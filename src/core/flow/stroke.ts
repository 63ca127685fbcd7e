import type { Task } from '../task/task.ts';
import { long, pairsOf, wide, type Box, type Pairs } from './box.ts';
import type { Spot } from './spec.ts';

/*
 * What a stick does as it is drawn through batter. With the stick at the origin going along x, batter goes by the stream function
 * y (1 - r^2/w^2)^3 within the width w, times DRAG: along where it is, ever less away from it, back round its sides, and not at all beyond. A flow by a
 * stream function gains and loses nothing. Far from touching it, what lies at distance d from a stick drawn right across is shifted by
 * (32/35) w DRAG (1 - d^2/w^2)^(5/2) (1 - 8 d^2/w^2), which sums to nothing over d; nearer it is carried on longer. The idea of short strokes with a return flow is that of A. Jaffer, "Oseen
 * flow in ink marbling" (2017, from memory), whose stream function y exp(-r/L) reaches much further: cut off where it could be afforded it lost volume.
 */

/**
 * How fast the batter at the stick goes, of the stick's own speed: it slips. (At 1 a thread of it would be carried along for ever, thinner than any
 * picture.) A judgement, no source.
 */
const DRAG = 0.65;

/** A piece of the way is at most so much of the width: the midpoint rule then turns back to a hundredth of a millimetre. */
const PIECE = 0.15;

/** Tiles that share a list of what touches them, mm. */
const TILE = 10;

/** Between the points of the grid that the whole way is kept on, mm. */
const SPACING = 1.25;

/** A piece of a stick's way: where the stick is half way of it, the direction it goes in, and how far. */
const FIGURES = 5;
type Touches = Float64Array;

/** The pieces of all ways in order, and their mirror images in walls nearby, through which batter cannot go. */
function touchesOf(paths: readonly (readonly Spot[])[], width: number, box: Box): Touches {
  const touches: number[] = [];
  const reach = width;
  for (const path of paths)
    for (let n = 0; n + 1 < path.length; n += 1) {
      const [ax, ay] = path[n] as Spot;
      const [bx, by] = path[n + 1] as Spot;
      const whole = Math.hypot(bx - ax, by - ay);
      if (whole === 0) continue;
      const pieces = Math.max(1, Math.ceil(whole / (PIECE * width)));
      const [ex, ey, long] = [(bx - ax) / whole, (by - ay) / whole, whole / pieces];
      for (let i = 0; i < pieces; i += 1) {
        const [x, y] = [ax + ex * long * (i + 0.5), ay + ey * long * (i + 0.5)];
        touches.push(x, y, ex, ey, long);
        for (const wall of [box.x0, box.x1])
          if (Math.abs(x - wall) < reach) touches.push(2 * wall - x, y, 0 - ex, ey, long);
        for (const wall of [box.y0, box.y1])
          if (Math.abs(y - wall) < reach) touches.push(x, 2 * wall - y, ex, 0 - ey, long);
      }
    }
  return Float64Array.from(touches);
}

/**
 * Move a point by one piece of a stick's way, forward (`way` 1) or back (-1), by the midpoint rule. This runs millions of times for a
 * design of many strokes: everything is in plain numbers.
 */
function move(touches: Touches, at: number, width: number, point: Float64Array, way: 1 | -1): void {
  const x = point[0] as number;
  const y = point[1] as number;
  const px = x - (touches[at] as number);
  const py = y - (touches[at + 1] as number);
  const per = 1 / (width * width);
  if ((px * px + py * py) * per > 1) return;
  const ex = touches[at + 2] as number;
  const ey = touches[at + 3] as number;
  const long = way * DRAG * (touches[at + 4] as number);
  const a = px * ex + py * ey;
  const b = py * ex - px * ey;
  let left = 1 - (a * a + b * b) * per;
  let s = 6 * per * left * left;
  // half way on, and from there the whole
  const ha = a + (long * (left * left * left - b * b * s)) / 2;
  const hb = b + (long * a * b * s) / 2;
  left = 1 - (ha * ha + hb * hb) * per;
  if (left < 0) return;
  s = 6 * per * left * left;
  const u = long * (left * left * left - hb * hb * s);
  const v = long * ha * hb * s;
  point[0] = x + u * ex - v * ey;
  point[1] = y + u * ey + v * ex;
}

/** Where batter that was at a spot is after all strokes, or, with `way` -1, where what is there was before them. */
export function drawn(
  paths: readonly (readonly Spot[])[],
  width: number,
  box: Box,
  [x, y]: Spot,
  way: 1 | -1,
): Spot {
  const touches = touchesOf(paths, width, box);
  const point = Float64Array.of(x, y);
  const count = touches.length / FIGURES;
  for (let k = 0; k < count; k += 1)
    move(touches, (way > 0 ? k : count - 1 - k) * FIGURES, width, point, way);
  return [point[0] as number, point[1] as number];
}

/** Where what is at each place of a plan was before the strokes. */
export type Warp = Pairs;

/** All strokes of one stick at once, kept on a grid: looking a place up then costs the same for one stroke as for a hundred. */
export function* warpOf(paths: readonly (readonly Spot[])[], width: number, box: Box): Task<never, Warp> {
  const touches = touchesOf(paths, width, box);
  const nx = Math.max(8, Math.ceil(wide(box) / SPACING));
  const ny = Math.max(8, Math.ceil(long(box) / SPACING));
  const [dx, dy] = [wide(box) / nx, long(box) / ny];
  // what is moved can come from a little outside its tile
  const reach = 2 * width;
  const [tilesX, tilesY] = [Math.ceil(wide(box) / TILE) + 1, Math.ceil(long(box) / TILE) + 1];
  const lists: number[][] = Array.from({ length: tilesX * tilesY }, () => []);
  for (let at = 0; at < touches.length; at += FIGURES) {
    const [x, y] = [(touches[at] as number) - box.x0, (touches[at + 1] as number) - box.y0];
    const i0 = Math.max(0, Math.floor((x - reach) / TILE));
    const i1 = Math.min(tilesX - 1, Math.floor((x + reach) / TILE));
    const j0 = Math.max(0, Math.floor((y - reach) / TILE));
    const j1 = Math.min(tilesY - 1, Math.floor((y + reach) / TILE));
    for (let j = j0; j <= j1; j += 1) for (let i = i0; i <= i1; i += 1) lists[j * tilesX + i]?.push(at);
  }
  const xs = new Float64Array((nx + 1) * (ny + 1));
  const ys = new Float64Array(xs.length);
  const point = new Float64Array(2);
  for (let j = 0; j <= ny; j += 1) {
    for (let i = 0; i <= nx; i += 1) {
      point[0] = box.x0 + i * dx;
      point[1] = box.y0 + j * dy;
      const list = lists[Math.floor((j * dy) / TILE) * tilesX + Math.floor((i * dx) / TILE)] ?? [];
      for (let n = list.length - 1; n >= 0; n -= 1) move(touches, list[n] as number, width, point, -1);
      xs[j * (nx + 1) + i] = Math.min(box.x1, Math.max(box.x0, point[0]));
      ys[j * (nx + 1) + i] = Math.min(box.y1, Math.max(box.y0, point[1]));
    }
    if (j % 8 === 0) yield { done: j / ny };
  }
  return pairsOf(box, nx, ny, xs, ys);
}
