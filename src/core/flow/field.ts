import type { Task } from '../task/task.ts';
import { long, nodesOf, valueAt, wide, type Box, type Nodes } from './box.ts';
import { follow } from './flowLines.ts';
import { edgesOf, isIn } from './outline.ts';
import { flowOf, type Grid } from './potential.ts';
import type { Spot } from './spec.ts';

/**
 * How batter spreads from one place over a rectangle: it is fed there and sinks evenly everywhere else, so that what is within a travel time T has
 * the part 1 - exp(-T) of the area.
 */
export interface Field {
  readonly box: Box;
  /** exp(-T): 1 at the source, 0 where nothing ever comes */
  readonly beyond: Nodes;
  /** which flow line, as the angle about the source that it leaves at: its cosine and sine */
  readonly cosine: Nodes;
  readonly sine: Nodes;
  /** where the flow line of an angle is when so much lies beyond it: ANGLES x (SHARES + 1) pairs, shares from 1 down to 0 */
  readonly lines: Float64Array;
}

/** Cells that a field is solved on. */
const FINE = 8_000;

/** A stream's field is smooth but near it, and a design can have many. */
const COARSE = 3_000;

const ANGLES = 192;
const SHARES = 64;

/** How finely a cell is looked at for what of it the source takes up. */
const PARTS = 4;

function gridOf(box: Box, cells: number): Grid {
  const size = Math.sqrt((wide(box) * long(box)) / cells);
  const nx = Math.max(8, Math.round(wide(box) / size));
  const ny = Math.max(8, Math.round(long(box) / size));
  return { nx, ny, dx: wide(box) / nx, dy: long(box) / ny };
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

/** A stream takes up the cell it falls into. */
function struck({ nx, ny, dx, dy }: Grid, box: Box, [x, y]: Spot): Float64Array {
  const part = new Float64Array(nx * ny);
  const i = Math.min(nx - 1, Math.max(0, Math.floor((x - box.x0) / dx)));
  const j = Math.min(ny - 1, Math.max(0, Math.floor((y - box.y0) / dy)));
  part[j * nx + i] = 1;
  return part;
}

/** The field of a source in a rectangle: an outline that stands there, or a spot. */
export function* fieldOf(
  box: Box,
  source: { readonly points: readonly Spot[] } | { readonly at: Spot },
): Task<never, Field> {
  const stands = 'points' in source;
  const grid = gridOf(box, stands ? FINE : COARSE);
  const { nx, ny, dx, dy } = grid;
  const part = stands ? covered(grid, box, source.points) : struck(grid, box, source.at);
  const taken = part.reduce((s, p) => s + p, 0);
  const fed = (nx * ny - taken) / taken;
  const faces = flowOf(
    grid,
    part.map((p) => p * fed - (1 - p)),
  );
  yield { done: 0.3 };
  const isSource = (cell: number): boolean => (part[cell] as number) >= 0.5;
  const [mx, my] = middleOfCells(grid, part);
  const beyond = new Float64Array((nx + 1) * (ny + 1));
  const cosine = new Float64Array(beyond.length);
  const sine = new Float64Array(beyond.length);
  for (let j = 0; j <= ny; j += 1) {
    for (let i = 0; i <= nx; i += 1) {
      const at = j * (nx + 1) + i;
      const end = follow(grid, faces, [i * dx, j * dy], -1, isSource);
      beyond[at] = end.arrived ? Math.exp(-end.time) : 0;
      const angle = Math.atan2(end.y - my, end.x - mx);
      cosine[at] = Math.cos(angle);
      sine[at] = Math.sin(angle);
    }
    if (j % 16 === 0) yield { done: 0.3 + (0.6 * j) / ny };
  }
  const lines = new Float64Array(ANGLES * (SHARES + 1) * 2);
  const reach = Math.hypot(wide(box), long(box));
  const step = Math.min(dx, dy) / 4;
  for (let a = 0; a < ANGLES; a += 1) {
    const angle = (2 * Math.PI * a) / ANGLES - Math.PI;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    let out = 0;
    const cellOf = (r: number): number => {
      const i = Math.floor((mx + r * c) / dx);
      const j = Math.floor((my + r * s) / dy);
      return i < 0 || j < 0 || i >= nx || j >= ny ? -1 : j * nx + i;
    };
    while (out < reach && cellOf(out) >= 0 && isSource(cellOf(out))) out += step;
    let here: readonly [number, number] = [
      Math.min(nx * dx, Math.max(0, mx + out * c)),
      Math.min(ny * dy, Math.max(0, my + out * s)),
    ];
    for (let k = 0; k <= SHARES; k += 1) {
      const to = (a * (SHARES + 1) + k) * 2;
      lines[to] = box.x0 + here[0];
      lines[to + 1] = box.y0 + here[1];
      if (k === SHARES - 1) continue;
      const time = Math.log((SHARES - k) / (SHARES - k - 1));
      const next = follow(grid, faces, here, 1, () => false, time);
      here = [next.x, next.y];
    }
  }
  const nodes = (values: Float64Array): Nodes => nodesOf(box, nx, ny, values);
  return { box, beyond: nodes(beyond), cosine: nodes(cosine), sine: nodes(sine), lines };
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

/** The place on the flow line through (x, y) beyond which lies `beyond` of the area. */
export function along({ cosine, sine, lines }: Field, x: number, y: number, beyond: number): Spot {
  const angle = Math.atan2(valueAt(sine, x, y), valueAt(cosine, x, y));
  const fa = ((angle + Math.PI) / (2 * Math.PI)) * ANGLES;
  const a = Math.floor(fa) % ANGLES;
  const b = (a + 1) % ANGLES;
  const fk = Math.min(SHARES, Math.max(0, (1 - beyond) * SHARES));
  const k = Math.min(SHARES - 1, Math.floor(fk));
  const [wa, wk] = [fa - Math.floor(fa), fk - k];
  const of = (line: number, share: number, axis: 0 | 1): number =>
    lines[(line * (SHARES + 1) + share) * 2 + axis] as number;
  const on = (axis: 0 | 1): number =>
    (of(a, k, axis) * (1 - wk) + of(a, k + 1, axis) * wk) * (1 - wa) +
    (of(b, k, axis) * (1 - wk) + of(b, k + 1, axis) * wk) * wa;
  return [on(0), on(1)];
}
