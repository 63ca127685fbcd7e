import type { Faces, Grid } from './potential.ts';

/**
 * The residual is brought down to this part of what it began with: what is wrong in the flow's divergence
 * then is a millionth.
 */
const SOLVED = 1e-6;

/**
 * How much of what an incomplete factor leaves out is put on its diagonal, and below what part of it the
 * diagonal is taken as it is (Bridson).
 */
const MODIFIED = 0.97;
const SAFE = 0.25;

/**
 * The five-point operator of a plan with closed cells, by cell: its diagonal, and what it has to the right
 * and away.
 */
interface Operator {
  readonly diagonal: Float64Array;
  readonly right: Float64Array;
  readonly away: Float64Array;
}

function operatorOf({ nx, ny, dx, dy }: Grid, open: Uint8Array): Operator {
  const [wx, wy] = [1 / (dx * dx), 1 / (dy * dy)];
  const [diagonal, right, away] = [0, 0, 0].map(() => new Float64Array(nx * ny)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let j = 0; j < ny; j += 1)
    for (let i = 0; i < nx; i += 1) {
      const at = j * nx + i;
      if (open[at] === 0) continue;
      if (i + 1 < nx && open[at + 1] === 1) {
        right[at] = -wx;
        diagonal[at] = (diagonal[at] as number) + wx;
        diagonal[at + 1] = (diagonal[at + 1] as number) + wx;
      }
      if (j + 1 < ny && open[at + nx] === 1) {
        away[at] = -wy;
        diagonal[at] = (diagonal[at] as number) + wy;
        diagonal[at + nx] = (diagonal[at + nx] as number) + wy;
      }
    }
  return { diagonal, right, away };
}

/**
 * One over the diagonal of a modified incomplete Cholesky factor; 0 in cells that are closed, or by
 * themselves.
 */
function factorOf(nx: number, { diagonal, right, away }: Operator): Float64Array {
  const factor = new Float64Array(diagonal.length);
  for (let at = 0; at < factor.length; at += 1) {
    const whole = diagonal[at] as number;
    if (whole === 0) continue;
    let left = whole;
    if (at > 0) {
      const [r, a, f] = [right[at - 1] as number, away[at - 1] as number, factor[at - 1] as number];
      left -= (r * f) ** 2 + MODIFIED * r * a * f * f;
    }
    if (at >= nx) {
      const [r, a, f] = [right[at - nx] as number, away[at - nx] as number, factor[at - nx] as number];
      left -= (a * f) ** 2 + MODIFIED * r * a * f * f;
    }
    factor[at] = 1 / Math.sqrt(left < SAFE * whole ? whole : left);
  }
  return factor;
}

/**
 * The flow in a plan that does not fill its rectangle, as a round one: cells that are not `open` are walls.
 * The potential is found by conjugate gradients (Hestenes & Stiefel 1952) with a modified incomplete Cholesky
 * factor before them (R. Bridson, Fluid Simulation for Computer Graphics, 2008; both from memory). `supply`
 * is nothing in closed cells and sums to nothing.
 */
export function maskedFlow({ nx, ny, dx, dy }: Grid, supply: Float64Array, open: Uint8Array): Faces {
  const count = nx * ny;
  const operator = operatorOf({ nx, ny, dx, dy }, open);
  const { diagonal, right, away } = operator;
  const factor = factorOf(nx, operator);
  const apply = (p: Float64Array, out: Float64Array): void => {
    for (let at = 0; at < count; at += 1) {
      let sum = (diagonal[at] as number) * (p[at] as number);
      sum += (right[at] as number) * (p[at + 1] ?? 0) + (away[at] as number) * (p[at + nx] ?? 0);
      if (at > 0) sum += (right[at - 1] as number) * (p[at - 1] as number);
      if (at >= nx) sum += (away[at - nx] as number) * (p[at - nx] as number);
      out[at] = sum;
    }
  };
  /** Nearly the inverse: forward and back through the factor. */
  const soften = (r: Float64Array, out: Float64Array): void => {
    for (let at = 0; at < count; at += 1) {
      const f = factor[at] as number;
      let t = r[at] as number;
      if (at > 0) t -= (right[at - 1] as number) * (factor[at - 1] as number) * (out[at - 1] as number);
      if (at >= nx) t -= (away[at - nx] as number) * (factor[at - nx] as number) * (out[at - nx] as number);
      out[at] = t * f;
    }
    for (let at = count - 1; at >= 0; at -= 1) {
      const f = factor[at] as number;
      const t =
        (out[at] as number) -
        (right[at] as number) * f * (out[at + 1] ?? 0) -
        (away[at] as number) * f * (out[at + nx] ?? 0);
      out[at] = t * f;
    }
  };
  const dot = (a: Float64Array, b: Float64Array): number => {
    let s = 0;
    for (let k = 0; k < count; k += 1) s += (a[k] as number) * (b[k] as number);
    return s;
  };
  const head = new Float64Array(count);
  const left = Float64Array.from(supply);
  const soft = new Float64Array(count);
  soften(left, soft);
  const way = Float64Array.from(soft);
  const moved = new Float64Array(count);
  let size = dot(left, soft);
  const enough = dot(left, left) * SOLVED * SOLVED;
  for (let n = 0; n < count && dot(left, left) > enough; n += 1) {
    apply(way, moved);
    const by = size / dot(way, moved);
    for (let k = 0; k < count; k += 1) {
      head[k] = (head[k] as number) + by * (way[k] as number);
      left[k] = (left[k] as number) - by * (moved[k] as number);
    }
    soften(left, soft);
    const now = dot(left, soft);
    for (let k = 0; k < count; k += 1) way[k] = (soft[k] as number) + (now / size) * (way[k] as number);
    size = now;
  }
  const u = new Float64Array((nx + 1) * ny);
  const v = new Float64Array(nx * (ny + 1));
  for (let j = 0; j < ny; j += 1)
    for (let i = 0; i < nx; i += 1) {
      const at = j * nx + i;
      if (open[at] === 0) continue;
      if (i > 0 && open[at - 1] === 1)
        u[j * (nx + 1) + i] = ((head[at - 1] as number) - (head[at] as number)) / dx;
      if (j > 0 && open[at - nx] === 1)
        v[j * nx + i] = ((head[at - nx] as number) - (head[at] as number)) / dy;
    }
  return { u, v };
}
