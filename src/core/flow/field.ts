import type { Task } from '../task/task.ts';
import { nodesOf, pairAt, pairsOf, valueAt, type Box, type Nodes, type Pairs } from './box.ts';
import {
  beside,
  besideStanding,
  closedBy,
  covered,
  feed,
  gridOf,
  inOpen,
  middleOfCells,
  openCells,
  startAt,
  struck,
  type Within,
} from './cells.ts';
import { follow, type Ended } from './flowLines.ts';
import { maskedFlow } from './maskedFlow.ts';
import { flowOf } from './potential.ts';
import type { Spot } from './spec.ts';

/**
 * How batter spreads from one place over a rectangle: it is fed there and sinks evenly everywhere else, so
 * that what is within a travel time T has the part 1 - exp(-T) of the area. On the walls nothing ever comes
 * by but what was there first.
 */
export interface Field {
  /** exp(-T): 1 at a source, 0 where nothing ever comes */
  readonly beyond: Nodes;
  readonly sources: readonly [Spread, ...Spread[]];
  /**
   * at the nodes, the number of the source that batter comes from to there; undefined where there is but one
   */
  readonly from: Uint8Array | undefined;
}

/** How batter is pushed away from one of the sources. */
interface Spread {
  readonly centre: Spot;
  /**
   * where what is at each place was before so much of the area, a SHARES-th each, was pushed away from the
   * source; [] where nobody asks
   */
  readonly back: readonly Back[];
}

/**
 * Places as vectors from the source's middle times their length: near a source areas go by the square of how
 * far they are, so that these change evenly where the places themselves do not.
 */
type Back = Pairs;

/** Cells that a field is solved on; for a small picture a quarter of them do. */
const FINE = 8_000;

/**
 * Where columns stand apart there is much more to see: the thin seam where what comes from them meets, and
 * the wake of one that nothing comes from.
 */
const FINEST = 16_000;

/** A stream's field is smooth but near it, and a design can have many. */
const COARSE = 4_000;

/** Between two of these a place goes back along a straight line. */
const SHARES = 24;

/**
 * The field of sources in a rectangle: outlines that stand there, or a spot. With `moved` also where places
 * were before, for what was poured somewhere else before it.
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
      if (!beside(grid, open, i, j)) {
        // what stands, or fills the hole of what stood, stays where it is
        for (const [k, x] of xs.entries()) {
          x[at] = i * dx;
          (ys[k] as Float64Array)[at] = j * dy;
        }
        continue;
      }
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

/** Nothing is pushed away altogether: the last piece of the way back is to this share. */
const LEAST_SHARE = 0.002;

/** What of the area stays beyond after piece `k` of the way back. */
const leftAfter = (k: number): number => Math.max(LEAST_SHARE, 1 - (k + 1) / SHARES);

/**
 * What of the area lies beyond (x, y): exp(-T) there. Where what comes from two sources meets it goes down to
 * nothing from both sides: one side is told as less than nothing, so that the seam lies between the nodes
 * where it is.
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
