/** A rectangle in plan, mm. */
export interface Box {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

export const wide = ({ x0, x1 }: Box): number => x1 - x0;
export const long = ({ y0, y1 }: Box): number => y1 - y0;

/** The rectangle about some places. */
export const boxAbout = (points: readonly (readonly [x: number, y: number])[]): Box => ({
  x0: Math.min(...points.map((p) => p[0])),
  x1: Math.max(...points.map((p) => p[0])),
  y0: Math.min(...points.map((p) => p[1])),
  y1: Math.max(...points.map((p) => p[1])),
});

/** Values at the corners of a rectangle's cells, (nx + 1) x (ny + 1), row by row from y0. */
export interface Nodes {
  readonly x0: number;
  readonly y0: number;
  readonly nx: number;
  readonly ny: number;
  /** cells a mm */
  readonly perX: number;
  readonly perY: number;
  readonly values: Float64Array;
}

export const nodesOf = (box: Box, nx: number, ny: number, values: Float64Array): Nodes => ({
  x0: box.x0,
  y0: box.y0,
  nx,
  ny,
  perX: nx / wide(box),
  perY: ny / long(box),
  values,
});

/**
 * Between the four corners about a point; beyond the rectangle as on its edge. This runs for every pixel:
 * plain steps.
 */
export function valueAt(nodes: Nodes, x: number, y: number): number {
  const { nx, ny, values } = nodes;
  let fx = (x - nodes.x0) * nodes.perX;
  let fy = (y - nodes.y0) * nodes.perY;
  if (!(fx > 0)) fx = 0;
  else if (fx > nx) fx = nx;
  if (!(fy > 0)) fy = 0;
  else if (fy > ny) fy = ny;
  let i = fx | 0;
  let j = fy | 0;
  if (i === nx) i -= 1;
  if (j === ny) j -= 1;
  const a = fx - i;
  const b = fy - j;
  const at = j * (nx + 1) + i;
  const up = at + nx + 1;
  const near = (values[at] as number) * (1 - a) + (values[at + 1] as number) * a;
  const far = (values[up] as number) * (1 - a) + (values[up + 1] as number) * a;
  return near * (1 - b) + far * b;
}

/** Two values at each corner of a rectangle's cells, one after the other. */
export type Pairs = Nodes;

export function pairsOf(box: Box, nx: number, ny: number, xs: Float64Array, ys: Float64Array): Pairs {
  const values = new Float64Array(2 * xs.length);
  for (let k = 0; k < xs.length; k += 1) {
    values[2 * k] = xs[k] as number;
    values[2 * k + 1] = ys[k] as number;
  }
  return nodesOf(box, nx, ny, values);
}

/** Both values between the four corners about a point, as `valueAt` has one, written to `out`. */
export function pairAt(pairs: Pairs, x: number, y: number, out: Float64Array): void {
  const { nx, ny, values } = pairs;
  let fx = (x - pairs.x0) * pairs.perX;
  let fy = (y - pairs.y0) * pairs.perY;
  if (!(fx > 0)) fx = 0;
  else if (fx > nx) fx = nx;
  if (!(fy > 0)) fy = 0;
  else if (fy > ny) fy = ny;
  let i = fx | 0;
  let j = fy | 0;
  if (i === nx) i -= 1;
  if (j === ny) j -= 1;
  const a = fx - i;
  const b = fy - j;
  const at = 2 * (j * (nx + 1) + i);
  const up = at + 2 * (nx + 1);
  const w00 = (1 - a) * (1 - b);
  const w10 = a * (1 - b);
  const w01 = (1 - a) * b;
  const w11 = a * b;
  out[0] =
    w00 * (values[at] as number) +
    w10 * (values[at + 2] as number) +
    w01 * (values[up] as number) +
    w11 * (values[up + 2] as number);
  out[1] =
    w00 * (values[at + 1] as number) +
    w10 * (values[at + 3] as number) +
    w01 * (values[up + 1] as number) +
    w11 * (values[up + 3] as number);
}
