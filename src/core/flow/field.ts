import type { Task } from '../task/task.ts';
import { long, nodesOf, pairAt, pairsOf, wide, type Box, type Nodes, type Pairs } from './box.ts';
import { follow, type Ended } from './flowLines.ts';
import { edgesOf, isIn } from './outline.ts';
import { maskedFlow } from './maskedFlow.ts';
import { flowOf, type Grid } from './potential.ts';
import type { Spot } from './spec.ts';

/**
 * How batter spreads from one place over a rectangle: it is fed there and sinks evenly everywhere else, so that what is within a travel time T has
 * the part 1 - exp(-T) of the area. On the walls nothing ever comes by but what was there first.
 */
export interface Field {
  /** exp(-T): 1 at the source, 0 where nothing ever comes */
  readonly beyond: Nodes;
  readonly centre: Spot;
  /** where what is at each place was before so much of the area, a SHARES-th each, was pushed away from the source; [] where nobody asks */
  readonly back: readonly Back[];
}

/**
 * Places as vectors from the source's middle times their length: near a source areas go by the square of how far they are, so that these change evenly
 * where the places themselves do not.
 */
type Back = Pairs;

/** Cells that a field is solved on; for a small picture a quarter of them do. */
const FINE = 8_000;

/** A stream's field is smooth but near it, and a design can have many. */
const COARSE = 4_000;

/** Between two of these a place goes back along a straight line. */
const SHARES = 24;

/** How finely a cell is looked at for what of it the source takes up. */
const PARTS = 4;

function gridOf(box: Box, cells: number): Grid {
  const size = Math.sqrt((wide(box) * long(box)) / cells);
  const nx = Math.max(8, Math.round(wide(box) / size));
  const ny = Math.max(8, Math.round(long(box) / size));
  return { nx, ny, dx: wide(box) / nx, dy: long(box) / ny };
}

/** A spot that is not in the plan at all, as the corner of a round one, is taken as near to it as the plan goes. */
function inOpen({ nx, ny, dx, dy }: Grid, box: Box, [x, y]: Spot, open: Uint8Array | undefined): Spot {
  const [mx, my] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2];
  const isOpen = (px: number, py: number): boolean => {
    const i = Math.min(nx - 1, Math.max(0, Math.floor((px - box.x0) / dx)));
    const j = Math.min(ny - 1, Math.max(0, Math.floor((py - box.y0) / dy)));
    return open?.[j * nx + i] !== 0;
  };
  for (let t = 0; t < 1; t += 0.01) {
    const [px, py] = [x + (mx - x) * t, y + (my - y) * t];
    if (isOpen(px, py)) return [px, py];
  }
  return [mx, my];
}

/** What of each cell a source takes up, 0 to 1. */
function covered(grid: Grid, box: Box, points: readonly Spot[]): Float64Array {
  const { nx, ny, dx, dy } = grid;
  const part = new Float64Array(nx * ny);
  const edges = edgesOf(points);
  for (let j = 0; j < ny; j += 1)
    for (let i = 0; i < nx; i += 1) {
      let n = 0;
      for (let b = 0; b < PARTS; b += 1)
        for (let a = 0; a < PARTS; a += 1)
          if (isIn(edges, box.x0 + (i + (a + 0.5) / PARTS) * dx, box.y0 + (j + (b + 0.5) / PARTS) * dy))
            n += 1;
      part[j * nx + i] = n / PARTS ** 2;
    }
  return part;
}

/** Cells whose middle lies in an outline. */
function openCells({ nx, ny, dx, dy }: Grid, box: Box, outline: readonly Spot[]): Uint8Array {
  const edges = edgesOf(outline);
  return Uint8Array.from({ length: nx * ny }, (_, cell) =>
    isIn(edges, box.x0 + ((cell % nx) + 0.5) * dx, box.y0 + (Math.floor(cell / nx) + 0.5) * dy) ? 1 : 0,
  );
}

/** A stream takes up the cell it falls into. */
function struck({ nx, ny, dx, dy }: Grid, box: Box, [x, y]: Spot): Float64Array {
  const part = new Float64Array(nx * ny);
  const i = Math.min(nx - 1, Math.max(0, Math.floor((x - box.x0) / dx)));
  const j = Math.min(ny - 1, Math.max(0, Math.floor((y - box.y0) / dy)));
  part[j * nx + i] = 1;
  return part;
}

/**
 * The field of a source in a rectangle: an outline that stands there, or a spot. With `moved` also where places were before, for what was poured somewhere
 * else before it.
 */
export function* fieldOf(
  box: Box,
  source: { readonly points: readonly Spot[] } | { readonly at: Spot },
  moved: boolean,
  /** the plan's outline where it does not fill the rectangle */
  outline?: readonly Spot[],
  small = false,
): Task<never, Field> {
  const stands = 'points' in source;
  const grid = gridOf(box, (stands ? FINE : COARSE) / (small ? 4 : 1));
  const { nx, ny, dx, dy } = grid;
  const open = outline && openCells(grid, box, outline);
  const part = stands
    ? covered(grid, box, source.points)
    : struck(grid, box, inOpen(grid, box, source.at, open));
  const taken = part.reduce((s, p) => s + p, 0);
  const all = open ? open.reduce((s, o) => s + o, 0) : nx * ny;
  const fed = (all - taken) / taken;
  const supply = part.map((p, cell) => (open?.[cell] === 0 ? 0 : p * fed - (1 - p)));
  const faces = open ? maskedFlow(grid, supply, open) : flowOf(grid, supply);
  yield { done: 0.3 };
  const isSource = (cell: number): boolean => (part[cell] as number) >= 0.5;
  const count = (nx + 1) * (ny + 1);
  const beyond = new Float64Array(count);
  const [cx, cy] = middleOfCells(grid, part);
  const xs = Array.from({ length: moved ? SHARES : 0 }, () => new Float64Array(count));
  const ys = xs.map(() => new Float64Array(count));
  for (let j = 0; j <= ny; j += 1) {
    for (let i = 0; i <= nx; i += 1) {
      const at = j * (nx + 1) + i;
      const [ox, oy] = [i * dx - cx, j * dy - cy];
      let here: Ended = { x: i * dx, y: j * dy, time: 0, arrived: true };
      let time = 0;
      for (const [k, x] of xs.entries()) {
        const until = Math.log(leftAfter(k - 1) / leftAfter(k));
        here = follow(grid, faces, [here.x, here.y], -1, isSource, until);
        time += here.time;
        const far = Math.hypot(here.x - cx, here.y - cy);
        x[at] = (here.x - cx) * far;
        (ys[k] as Float64Array)[at] = (here.y - cy) * far;
      }
      const end = follow(grid, faces, [here.x, here.y], -1, isSource);
      const e = end.arrived ? Math.exp(-time - end.time) : 0;
      beyond[at] = e;
      // what came out of the source in the meantime was inside it, as deep as the area it has now
      for (const [k, x] of xs.entries()) {
        const left = leftAfter(k);
        if (e <= left) continue;
        const deep = (Math.hypot(ox, oy) / Math.max(1 - e, 1e-3)) * (1 - e / left);
        x[at] = ox * deep;
        (ys[k] as Float64Array)[at] = oy * deep;
      }
    }
    if (j % 16 === 0) yield { done: 0.3 + (0.6 * j) / ny };
  }
  return {
    beyond: nodesOf(box, nx, ny, beyond),
    centre: [box.x0 + cx, box.y0 + cy],
    back: xs.map((x, k): Back => pairsOf(box, nx, ny, x, ys[k] as Float64Array)),
  };
}

function middleOfCells({ nx, ny, dx, dy }: Grid, part: Float64Array): readonly [number, number] {
  let [sum, x, y] = [0, 0, 0];
  for (let j = 0; j < ny; j += 1)
    for (let i = 0; i < nx; i += 1) {
      const p = part[j * nx + i] as number;
      sum += p;
      x += p * (i + 0.5) * dx;
      y += p * (j + 0.5) * dy;
    }
  return [x / sum, y / sum];
}

/** Nothing is pushed away altogether: the last piece of the way back is to this share. */
const LEAST_SHARE = 0.002;

/** What of the area stays beyond after piece `k` of the way back. */
const leftAfter = (k: number): number => Math.max(LEAST_SHARE, 1 - (k + 1) / SHARES);

/** Where what is at (x, y) was before only the part `left` of the area stayed beyond. */
export function before({ back, centre: [cx, cy] }: Field, x: number, y: number, left: number): Spot {
  const f = Math.min(SHARES, Math.max(0, (1 - left) * SHARES));
  const k = Math.min(SHARES - 1, Math.floor(f));
  const [from, to] = [back[k - 1], back[k]];
  if (!to) return [x, y];
  // evenly in one over what is left, as the areas go
  const start = leftAfter(k - 1);
  const w = Math.min(1, (1 / Math.max(left, LEAST_SHARE) - 1 / start) / (1 / leftAfter(k) - 1 / start));
  const far = Math.hypot(x - cx, y - cy);
  const [start0, end0] = [new Float64Array(2), new Float64Array(2)];
  if (from) pairAt(from, x, y, start0);
  else start0.set([(x - cx) * far, (y - cy) * far]);
  pairAt(to, x, y, end0);
  const [x0, y0] = start0 as unknown as readonly [number, number];
  const [x1, y1] = end0 as unknown as readonly [number, number];
  const vx = x0 + (x1 - x0) * w;
  const vy = y0 + (y1 - y0) * w;
  const root = Math.sqrt(Math.hypot(vx, vy));
  return root === 0 ? [cx, cy] : [cx + vx / root, cy + vy / root];
}
