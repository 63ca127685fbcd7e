import type { Faces, Grid } from './potential.ts';

/** The residual is brought down to this part of what it began with: what is wrong in the flow's divergence then is a millionth. */
const SOLVED = 1e-6;

/**
 * The flow in a plan that does not fill its rectangle, as a round one: cells that are not `open` are walls. The potential is found by conjugate gradients
 * (Hestenes & Stiefel 1952, from memory). `supply` is nothing in closed cells and sums to nothing.
 */
export function maskedFlow({ nx, ny, dx, dy }: Grid, supply: Float64Array, open: Uint8Array): Faces {
  const count = nx * ny;
  const [wx, wy] = [1 / (dx * dx), 1 / (dy * dy)];
  const apply = (p: Float64Array, out: Float64Array): void => {
    for (let j = 0; j < ny; j += 1)
      for (let i = 0; i < nx; i += 1) {
        const at = j * nx + i;
        if (open[at] === 0) {
          out[at] = 0;
          continue;
        }
        const here = p[at] as number;
        let sum = 0;
        if (i > 0 && open[at - 1] === 1) sum += wx * (here - (p[at - 1] as number));
        if (i + 1 < nx && open[at + 1] === 1) sum += wx * (here - (p[at + 1] as number));
        if (j > 0 && open[at - nx] === 1) sum += wy * (here - (p[at - nx] as number));
        if (j + 1 < ny && open[at + nx] === 1) sum += wy * (here - (p[at + nx] as number));
        out[at] = sum;
      }
  };
  const dot = (a: Float64Array, b: Float64Array): number => {
    let s = 0;
    for (let k = 0; k < count; k += 1) s += (a[k] as number) * (b[k] as number);
    return s;
  };
  const head = new Float64Array(count);
  const left = Float64Array.from(supply);
  const way = Float64Array.from(supply);
  const moved = new Float64Array(count);
  let size = dot(left, left);
  const enough = size * SOLVED * SOLVED;
  for (let n = 0; n < count && size > enough; n += 1) {
    apply(way, moved);
    const by = size / dot(way, moved);
    for (let k = 0; k < count; k += 1) {
      head[k] = (head[k] as number) + by * (way[k] as number);
      left[k] = (left[k] as number) - by * (moved[k] as number);
    }
    const now = dot(left, left);
    for (let k = 0; k < count; k += 1) way[k] = (left[k] as number) + (now / size) * (way[k] as number);
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
