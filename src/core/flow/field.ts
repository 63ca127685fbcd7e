import type { Task } from '../task/task.ts';
import { long, nodesOf, pairAt, pairsOf, valueAt, wide, type Box, type Nodes, type Pairs } from './box.ts';
import { follow, type Ended } from './flowLines.ts';
import { edgesOf, isIn, isInStar, starOf, type Star } from './outline.ts';
import { maskedFlow } from './maskedFlow.ts';
import { flowOf, type Grid } from './potential.ts';
import type { Spot } from './spec.ts';

/**
 * How batter spreads from one place over a rectangle: it is fed there and sinks evenly everywhere else, so that what is within a travel time T has
 * the part 1 - exp(-T) of the area. On the walls nothing ever comes by but what was there first.
 */
export interface Field {
  /** exp(-T): 1 at a source, 0 where nothing ever comes */
  readonly beyond: Nodes;
  readonly sources: readonly [Spread, ...Spread[]];
  /** at the nodes, the number of the source that batter comes from to there; undefined where there is but one */
  readonly from: Uint8Array | undefined;
}

/** How batter is pushed away from one of the sources. */
interface Spread {
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

/** Where columns stand apart there is much more to see: the thin seam where what comes from them meets, and the wake of one that nothing comes from. */
const FINEST = 16_000;

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

/** A spot that is not open, as the corner of a round plan or one in which something stands, is taken as the open one nearest to it. */
function inOpen({ nx, ny, dx, dy }: Grid, box: Box, [x, y]: Spot, open: Uint8Array | undefined): Spot {
  const i = Math.min(nx - 1, Math.max(0, Math.floor((x - box.x0) / dx)));
  const j = Math.min(ny - 1, Math.max(0, Math.floor((y - box.y0) / dy)));
  if (!open || open[j * nx + i] === 1) return [x, y];
  let [nearest, at] = [Infinity, [x, y] as Spot];
  for (const [cell, isOpen] of open.entries()) {
    if (isOpen === 0) continue;
    const here: Spot = [box.x0 + ((cell % nx) + 0.5) * dx, box.y0 + (Math.floor(cell / nx) + 0.5) * dy];
    const far = Math.hypot(here[0] - x, here[1] - y);
    if (far < nearest) [nearest, at] = [far, here];
  }
  return at;
}

/** What of each cell a source takes up, 0 to 1. */
function covered(grid: Grid, box: Box, points: readonly Spot[]): Float64Array {
  const { nx, ny, dx, dy } = grid;
  const part = new Float64Array(nx * ny);
  const star = starOf(points);
  for (let j = 0; j < ny; j += 1)
    for (let i = 0; i < nx; i += 1) {
      let n = 0;
      for (let b = 0; b < PARTS; b += 1)
        for (let a = 0; a < PARTS; a += 1)
          if (isInStar(star, box.x0 + (i + (a + 0.5) / PARTS) * dx, box.y0 + (j + (b + 0.5) / PARTS) * dy))
            n += 1;
      part[j * nx + i] = n / PARTS ** 2;
    }
  return part;
}

/** What batter spreads within: the plan's outline where it does not fill the rectangle, and what stands in its way. */
interface Within {
  readonly outline?: readonly Spot[] | undefined;
  readonly standing?: readonly Star[];
}

/** Cells whose middle lies in the outline and in nothing that stands; undefined where all do. */
function openCells(
  { nx, ny, dx, dy }: Grid,
  box: Box,
  { outline, standing = [] }: Within,
): Uint8Array | undefined {
  if (!outline && standing.length === 0) return undefined;
  const edges = outline && edgesOf(outline);
  const closed = closedBy({ nx, ny, dx, dy }, box, standing);
  return closed.map((is, cell) => {
    const [x, y] = [box.x0 + ((cell % nx) + 0.5) * dx, box.y0 + (Math.floor(cell / nx) + 0.5) * dy];
    return is === 0 && (!edges || isIn(edges, x, y)) ? 1 : 0;
  });
}

/** A stream takes up the cell it falls into. */
function struck({ nx, ny, dx, dy }: Grid, box: Box, [x, y]: Spot): Float64Array {
  const part = new Float64Array(nx * ny);
  const i = Math.min(nx - 1, Math.max(0, Math.floor((x - box.x0) / dx)));
  const j = Math.min(ny - 1, Math.max(0, Math.floor((y - box.y0) / dy)));
  part[j * nx + i] = 1;
  return part;
}

/** Sources on a grid. */
interface Fed {
  /** what of each cell each source takes up */
  readonly parts: readonly Float64Array[];
  /** by cell, the number of the source that it is in, and one; 0 outside */
  readonly source: Uint8Array;
  /** what comes up in each cell, less what sinks in it */
  readonly supply: Float64Array;
}

/** Each source feeds the same amount, and all that is open outside them sinks evenly. */
function feed({ nx, ny }: Grid, parts: readonly Float64Array[], open: Uint8Array | undefined): Fed {
  const count = nx * ny;
  const source = new Uint8Array(count);
  const taken = parts.map((p) => p.reduce((s, x, cell) => (open?.[cell] === 0 ? s : s + x), 0));
  const all = open ? open.reduce((s, o) => s + o, 0) : count;
  const outside = all - taken.reduce((s, t) => s + t, 0);
  const fed = taken.map((t) => outside / parts.length / t);
  const supply = Float64Array.from({ length: count }, (_, cell) => {
    if (open?.[cell] === 0) return 0;
    let sum = -1;
    for (const [n, part] of parts.entries()) {
      const p = part[cell] as number;
      sum += p * (1 + (fed[n] as number));
      if (p >= 0.5) source[cell] = n + 1;
    }
    return sum;
  });
  return { parts, source, supply };
}

/** A node's cell that is open: where a flow line through it begins. */
function beside({ nx, ny }: Grid, open: Uint8Array | undefined, i: number, j: number): boolean {
  if (!open) return true;
  for (const a of [i - 1, i])
    for (const b of [j - 1, j])
      if (a >= 0 && b >= 0 && a < nx && b < ny && open[b * nx + a] === 1) return true;
  return false;
}

/** So far aside a flow line begins that would begin on a wall, mm. */
const ASIDE = 1e-6;

/** Where a flow line from a node begins: on a wall's edge a little out into the open. */
function startAt({ nx, ny, dx, dy }: Grid, open: Uint8Array | undefined, i: number, j: number): Spot {
  const [x, y] = [i * dx, j * dy];
  if (!open || (i < nx && j < ny && open[j * nx + i] === 1)) return [x, y];
  for (const [a, b] of [
    [-1, 0],
    [0, -1],
    [-1, -1],
  ] as const)
    if (i + a >= 0 && j + b >= 0 && i + a < nx && j + b < ny && open[(j + b) * nx + i + a] === 1)
      return [x + a * ASIDE, y + b * ASIDE];
  return [x, y];
}

/** Cells whose middle lies in something that stands. */
const closedBy = ({ nx, ny, dx, dy }: Grid, box: Box, standing: readonly Star[]): Uint8Array =>
  Uint8Array.from({ length: nx * ny }, (_, cell) =>
    standing.some((s) =>
      isInStar(s, box.x0 + ((cell % nx) + 0.5) * dx, box.y0 + (Math.floor(cell / nx) + 0.5) * dy),
    )
      ? 1
      : 0,
  );

/** So many nodes deep into what stands there is something to read between. */
const RINGS = 4;

/**
 * Nodes in and on what stands in the way take the mean of those beside them: cells make its sides a stair, in whose corners batter would stand that
 * in truth goes along a smooth wall; and pictures are read between the nodes.
 */
function besideStanding(
  { nx, ny }: Grid,
  known: Uint8Array,
  closed: Uint8Array,
  lists: readonly Float64Array[],
  label: Uint8Array,
): void {
  const wide = nx + 1;
  const wanted = new Set<number>();
  for (const [cell, is] of closed.entries()) {
    if (is === 0) continue;
    const at = Math.floor(cell / nx) * wide + (cell % nx);
    for (const node of [at, at + 1, at + wide, at + wide + 1]) wanted.add(node);
  }
  for (const node of wanted) known[node] = 0;
  for (let ring = 0; ring < RINGS; ring += 1) {
    const now: number[] = [];
    for (const at of wanted) {
      const i = at % wide;
      const near = [i > 0 ? at - 1 : -1, i < nx ? at + 1 : -1, at - wide, at + wide].filter(
        (n) => n >= 0 && n < wide * (ny + 1) && known[n] === 1,
      );
      const [first] = near;
      if (known[at] === 1 || first === undefined) continue;
      now.push(at);
      for (const list of lists) list[at] = near.reduce((s, n) => s + (list[n] as number), 0) / near.length;
      label[at] = label[first] as number;
    }
    for (const at of now) known[at] = 1;
  }
}

/**
 * The field of sources in a rectangle: outlines that stand there, or a spot. With `moved` also where places were before, for what was poured somewhere
 * else before it.
 */
export function* fieldOf(
  box: Box,
  from: { readonly outlines: readonly (readonly Spot[])[] } | { readonly at: Spot },
  moved: boolean,
  within: Within = {},
  small = false,
): Task<never, Field> {
  const stands = 'outlines' in from;
  const { standing = [] } = within;
  const apart = standing.length > 0 || (stands && from.outlines.length > 1);
  const grid = gridOf(box, (apart ? FINEST : stands ? FINE : COARSE) / (small ? 4 : 1));
  const { nx, ny, dx, dy } = grid;
  const open = openCells(grid, box, within);
  const { parts, source, supply } = feed(
    grid,
    stands
      ? from.outlines.map((o) => covered(grid, box, o))
      : [struck(grid, box, inOpen(grid, box, from.at, open))],
    open,
  );
  const faces = open ? maskedFlow(grid, supply, open) : flowOf(grid, supply);
  yield { done: 0.3 };
  const isSource = (cell: number): boolean => source[cell] !== 0;
  const count = (nx + 1) * (ny + 1);
  const beyond = new Float64Array(count);
  const label = new Uint8Array(count);
  const known = new Uint8Array(count);
  const centres = parts.map((p) => middleOfCells(grid, p));
  /** by piece of the way back, where each node was, mm from the corner of the grid */
  const xs = Array.from({ length: moved ? SHARES : 0 }, () => new Float64Array(count));
  const ys = xs.map(() => new Float64Array(count));
  for (let j = 0; j <= ny; j += 1) {
    for (let i = 0; i <= nx; i += 1) {
      const at = j * (nx + 1) + i;
      if (!beside(grid, open, i, j)) continue;
      const [sx, sy] = startAt(grid, open, i, j);
      let here: Pick<Ended, 'x' | 'y' | 'time'> = { x: sx, y: sy, time: 0 };
      let time = 0;
      for (const [k, x] of xs.entries()) {
        const until = Math.log(leftAfter(k - 1) / leftAfter(k));
        here = follow(grid, faces, [here.x, here.y], -1, isSource, until);
        time += here.time;
        x[at] = here.x;
        (ys[k] as Float64Array)[at] = here.y;
      }
      const end = follow(grid, faces, [here.x, here.y], -1, isSource);
      const e = end.arrived ? Math.exp(-time - end.time) : 0;
      beyond[at] = e;
      known[at] = 1;
      label[at] = end.arrived ? Math.max(0, (source[end.cell] as number) - 1) : 0;
      const [cx, cy] = centres[label[at]] as Spot;
      const [ox, oy] = [i * dx - cx, j * dy - cy];
      // what came out of the source in the meantime was inside it, as deep as the area it has now
      for (const [k, x] of xs.entries()) {
        const left = leftAfter(k);
        if (e <= left) continue;
        // beyond the middle: so that what is read between two nodes goes through it
        const deep = -Math.sqrt((e / left - 1) / Math.max(1 - e, 1e-3));
        x[at] = cx + ox * deep;
        (ys[k] as Float64Array)[at] = cy + oy * deep;
      }
    }
    if (j % 16 === 0) yield { done: 0.3 + (0.6 * j) / ny };
  }
  if (standing.length > 0)
    besideStanding(grid, known, closedBy(grid, box, standing), [beyond, ...xs, ...ys], label);
  /** Told from one source's middle, as `Back` has it. */
  const fromMiddle = ([cx, cy]: Spot, k: number): Back => {
    const [x, y] = [xs[k] as Float64Array, ys[k] as Float64Array];
    const [vx, vy] = [new Float64Array(count), new Float64Array(count)];
    for (let at = 0; at < count; at += 1) {
      const [px, py] = [(x[at] as number) - cx, (y[at] as number) - cy];
      const far = Math.hypot(px, py);
      vx[at] = px * far;
      vy[at] = py * far;
    }
    return pairsOf(box, nx, ny, vx, vy);
  };
  const sources = centres.map((centre): Spread => ({
    centre: [box.x0 + centre[0], box.y0 + centre[1]],
    back: xs.map((_, k) => fromMiddle(centre, k)),
  }));
  return {
    beyond: nodesOf(box, nx, ny, beyond),
    sources: sources as [Spread, ...Spread[]],
    from: sources.length > 1 ? label : undefined,
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

/**
 * What of the area lies beyond (x, y): exp(-T) there. Where what comes from two sources meets it goes down to nothing from both sides: one side is told as
 * less than nothing, so that the seam lies between the nodes where it is.
 */
export function beyondAt({ beyond, from }: Field, x: number, y: number): number {
  if (!from) return valueAt(beyond, x, y);
  const { x0, y0, nx, ny, perX, perY, values } = beyond;
  const fx = Math.min(nx, Math.max(0, (x - x0) * perX));
  const fy = Math.min(ny, Math.max(0, (y - y0) * perY));
  const i = Math.min(nx - 1, Math.floor(fx));
  const j = Math.min(ny - 1, Math.floor(fy));
  const [a, b] = [fx - i, fy - j];
  const low = j * (nx + 1) + i;
  const up = low + nx + 1;
  const own = from[low];
  const signed = (at: number): number => (from[at] === own ? 1 : -1) * (values[at] as number);
  const near = signed(low) * (1 - a) + signed(low + 1) * a;
  const far = signed(up) * (1 - a) + signed(up + 1) * a;
  return Math.abs(near * (1 - b) + far * b);
}

/** What batter comes to (x, y) from. */
function sourceAt(
  { beyond: { x0, y0, nx, ny, perX, perY }, sources, from }: Field,
  x: number,
  y: number,
): Spread {
  if (!from) return sources[0];
  const i = Math.min(nx, Math.max(0, Math.round((x - x0) * perX)));
  const j = Math.min(ny, Math.max(0, Math.round((y - y0) * perY)));
  return sources[from[j * (nx + 1) + i] as number] as Spread;
}

/** Where what is at (x, y) was before only the part `left` of the area stayed beyond. */
export function before(field: Field, x: number, y: number, left: number): Spot {
  const { back, centre } = sourceAt(field, x, y);
  const [cx, cy] = centre;
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
