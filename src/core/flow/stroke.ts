import type { Task } from '../task/task.ts';
import { long, pairsOf, wide, type Box, type Pairs } from './box.ts';
import type { Spot } from './spec.ts';

/*
 * What a stick does as it is drawn through batter. With the stick at the origin going along x, batter goes by
 * the stream function y (1 - r^2/w^2)^3 within the width w, times DRAG: along where it is, ever less away
 * from it, back round its sides, and not at all beyond. A flow by a stream function gains and loses nothing.
 * Far from touching it, what lies at distance d from a stick drawn right across is shifted by (32/35) w DRAG
 * (1 - d^2/w^2)^(5/2) (1 - 8 d^2/w^2), which sums to nothing over d; nearer it is carried on longer. The idea
 * of short strokes with a return flow is that of A. Jaffer, "Oseen flow in ink marbling" (2017, from memory),
 * whose stream function y exp(-r/L) reaches much further: cut off where it could be afforded it lost volume.
 */

/**
 * How fast the batter at the stick goes, of the stick's own speed: it slips. (At 1 a thread of it would be
 * carried along for ever, thinner than any picture.) A judgement, no source.
 */
const DRAG = 0.65;

/**
 * A piece of the way is at most so much of the width: the midpoint rule then turns back to a hundredth of a
 * millimetre.
 */
const PIECE = 0.15;

/** Tiles that share a list of what touches them, mm. */
const TILE = 10;

/**
 * A piece of a stick's way: where the stick is half way of it, the direction it goes in, how far, and how
 * many pieces move batter together with it: it alone, or with its mirror images in walls nearby, through
 * which batter then cannot go; these come right after it.
 */
const FIGURES = 6;
type Touches = Float64Array;

/**
 * A place and its mirror images in the walls that it is nearer to than `reach`, along one axis; `sign` is the
 * way that a direction along it takes.
 */
const mirrored = (
  at: number,
  low: number,
  high: number,
  reach: number,
): readonly (readonly [at: number, sign: number])[] => [
  [at, 1],
  ...(at - low < reach ? [[2 * low - at, -1] as const] : []),
  ...(high - at < reach ? [[2 * high - at, -1] as const] : []),
];

/** The pieces of all ways in order. */
function touchesOf(paths: readonly (readonly Spot[])[], width: number, box: Box): Touches {
  const touches: number[] = [];
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
        const images = mirrored(x, box.x0, box.x1, width).flatMap(([mx, sx]) =>
          mirrored(y, box.y0, box.y1, width).map(([my, sy]) => [mx, my, ex * sx, ey * sy] as const),
        );
        for (const [k, image] of images.entries()) touches.push(...image, long, k === 0 ? images.length : 0);
      }
    }
  return Float64Array.from(touches);
}

/** How a place goes while the stick goes one piece: what all that move it together add up to. */
interface Way {
  u: number;
  v: number;
}

function wayAt(touches: Touches, at: number, width: number, x: number, y: number, way: Way): void {
  const per = 1 / (width * width);
  const end = at + (touches[at + 5] as number) * FIGURES;
  let u = 0;
  let v = 0;
  for (let k = at; k < end; k += FIGURES) {
    const px = x - (touches[k] as number);
    const py = y - (touches[k + 1] as number);
    const left = 1 - (px * px + py * py) * per;
    if (left <= 0) continue;
    const ex = touches[k + 2] as number;
    const ey = touches[k + 3] as number;
    const a = px * ex + py * ey;
    const b = py * ex - px * ey;
    const s = 6 * per * left * left;
    const by = DRAG * (touches[k + 4] as number);
    const along = by * (left * left * left - b * b * s);
    const aside = by * a * b * s;
    u += along * ex - aside * ey;
    v += along * ey + aside * ex;
  }
  way.u = u;
  way.v = v;
}

/**
 * Move a point by one piece of a stick's way, forward (`by` 1) or back (-1), by the midpoint rule. This runs
 * millions of times for a design of many strokes: everything is in plain numbers.
 */
function move(touches: Touches, at: number, width: number, point: Float64Array, by: 1 | -1, way: Way): void {
  const x = point[0] as number;
  const y = point[1] as number;
  wayAt(touches, at, width, x, y, way);
  if (way.u === 0 && way.v === 0) return;
  wayAt(touches, at, width, x + (by * way.u) / 2, y + (by * way.v) / 2, way);
  point[0] = x + by * way.u;
  point[1] = y + by * way.v;
}

/**
 * Where batter that was at a spot is after all strokes, or, with `way` -1, where what is there was before
 * them.
 */
export function draggedTo(
  paths: readonly (readonly Spot[])[],
  width: number,
  box: Box,
  [x, y]: Spot,
  way: 1 | -1,
): Spot {
  const touches = touchesOf(paths, width, box);
  const point = Float64Array.of(x, y);
  const heads: number[] = [];
  for (let at = 0; at < touches.length; at += (touches[at + 5] as number) * FIGURES) heads.push(at);
  const moving: Way = { u: 0, v: 0 };
  for (const at of way > 0 ? heads : heads.toReversed()) move(touches, at, width, point, way, moving);
  return [point[0] as number, point[1] as number];
}

/** Where what is at each place of a plan was before the strokes. */
export type Warp = Pairs;

/**
 * All strokes of one stick at once, kept on a grid of so many mm: looking a place up then costs the same for
 * one stroke as for a hundred.
 */
export function* warpOf(
  paths: readonly (readonly Spot[])[],
  width: number,
  box: Box,
  spacing: number,
): Task<never, Warp> {
  const touches = touchesOf(paths, width, box);
  const nx = Math.max(8, Math.ceil(wide(box) / spacing));
  const ny = Math.max(8, Math.ceil(long(box) / spacing));
  const [dx, dy] = [wide(box) / nx, long(box) / ny];
  // what is moved can come from a little outside its tile
  const reach = 2 * width;
  const [tilesX, tilesY] = [Math.ceil(wide(box) / TILE) + 1, Math.ceil(long(box) / TILE) + 1];
  const lists: number[][] = Array.from({ length: tilesX * tilesY }, () => []);
  for (let at = 0; at < touches.length; at += (touches[at + 5] as number) * FIGURES) {
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
  const moving: Way = { u: 0, v: 0 };
  for (let j = 0; j <= ny; j += 1) {
    for (let i = 0; i <= nx; i += 1) {
      point[0] = box.x0 + i * dx;
      point[1] = box.y0 + j * dy;
      const list = lists[Math.floor((j * dy) / TILE) * tilesX + Math.floor((i * dx) / TILE)] ?? [];
      for (let n = list.length - 1; n >= 0; n -= 1)
        move(touches, list[n] as number, width, point, -1, moving);
      xs[j * (nx + 1) + i] = Math.min(box.x1, Math.max(box.x0, point[0]));
      ys[j * (nx + 1) + i] = Math.min(box.y1, Math.max(box.y0, point[1]));
    }
    if (j % 8 === 0) yield { done: j / ny };
  }
  return pairsOf(box, nx, ny, xs, ys);
}
