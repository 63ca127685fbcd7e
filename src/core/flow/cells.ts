import { long, wide, type Box } from './box.ts';
import { edgesOf, isIn, isInStar, starOf, type Star } from './outline.ts';
import type { Grid } from './potential.ts';
import type { Spot } from './spec.ts';

/** How finely a cell is looked at for what of it the source takes up. */
const PARTS = 4;

export function gridOf(box: Box, cells: number): Grid {
  const size = Math.sqrt((wide(box) * long(box)) / cells);
  const nx = Math.max(8, Math.round(wide(box) / size));
  const ny = Math.max(8, Math.round(long(box) / size));
  return { nx, ny, dx: wide(box) / nx, dy: long(box) / ny };
}

/** The cell that a place is in; beyond the rectangle, the nearest. */
function cellAt({ nx, ny, dx, dy }: Grid, box: Box, [x, y]: Spot): number {
  const i = Math.min(nx - 1, Math.max(0, Math.floor((x - box.x0) / dx)));
  const j = Math.min(ny - 1, Math.max(0, Math.floor((y - box.y0) / dy)));
  return j * nx + i;
}

const middleOf = ({ nx, dx, dy }: Grid, box: Box, cell: number): Spot => [
  box.x0 + ((cell % nx) + 0.5) * dx,
  box.y0 + (Math.floor(cell / nx) + 0.5) * dy,
];

/**
 * A spot that is not open, as the corner of a round plan or one in which something stands, is taken as the
 * open one nearest to it.
 */
export function inOpen(grid: Grid, box: Box, spot: Spot, open: Uint8Array | undefined): Spot {
  if (!open || open[cellAt(grid, box, spot)] === 1) return spot;
  let [nearest, at] = [Infinity, spot];
  for (const [cell, isOpen] of open.entries()) {
    if (isOpen === 0) continue;
    const here = middleOf(grid, box, cell);
    const far = Math.hypot(here[0] - spot[0], here[1] - spot[1]);
    if (far < nearest) [nearest, at] = [far, here];
  }
  return at;
}

/** What of each cell a source takes up, 0 to 1. */
export function covered(grid: Grid, box: Box, points: readonly Spot[]): Float64Array {
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

/**
 * What batter spreads within: the plan's outline where it does not fill the rectangle, and what stands in its
 * way.
 */
export interface Within {
  readonly outline?: readonly Spot[] | undefined;
  readonly standing?: readonly Star[];
}

/** Cells whose middle lies in the outline and in nothing that stands; undefined where all do. */
export function openCells(grid: Grid, box: Box, { outline, standing = [] }: Within): Uint8Array | undefined {
  if (!outline && standing.length === 0) return undefined;
  const edges = outline && edgesOf(outline);
  return closedBy(grid, box, standing).map((is, cell) =>
    is === 0 && (!edges || isIn(edges, ...middleOf(grid, box, cell))) ? 1 : 0,
  );
}

/** A stream takes up the cell it falls into. */
export function struck(grid: Grid, box: Box, spot: Spot): Float64Array {
  const part = new Float64Array(grid.nx * grid.ny);
  part[cellAt(grid, box, spot)] = 1;
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
export function feed({ nx, ny }: Grid, parts: readonly Float64Array[], open: Uint8Array | undefined): Fed {
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
export function beside({ nx, ny }: Grid, open: Uint8Array | undefined, i: number, j: number): boolean {
  if (!open) return true;
  for (const a of [i - 1, i])
    for (const b of [j - 1, j])
      if (a >= 0 && b >= 0 && a < nx && b < ny && open[b * nx + a] === 1) return true;
  return false;
}

/** So far aside a flow line begins that would begin on a wall, mm. */
const ASIDE = 1e-6;

/** Where a flow line from a node begins: on a wall's edge a little out into the open. */
export function startAt({ nx, ny, dx, dy }: Grid, open: Uint8Array | undefined, i: number, j: number): Spot {
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
export const closedBy = (grid: Grid, box: Box, standing: readonly Star[]): Uint8Array =>
  Uint8Array.from({ length: grid.nx * grid.ny }, (_, cell) =>
    standing.some((s) => isInStar(s, ...middleOf(grid, box, cell))) ? 1 : 0,
  );

/** So many nodes deep into what stands there is something to read between. */
const RINGS = 4;

/**
 * Nodes in and on what stands in the way take the mean of those beside them: cells make its sides a stair, in
 * whose corners batter would stand that in truth goes along a smooth wall; and pictures are read between the
 * nodes.
 */
export function besideStanding(
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

/** The middle of what a source takes up, mm from the corner of the grid. */
export function middleOfCells({ nx, ny, dx, dy }: Grid, part: Float64Array): readonly [number, number] {
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
