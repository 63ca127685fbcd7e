import type { Faces, Grid } from './potential.ts';

/** How a flow line goes on: `time` is what it took, and the place is where it ended. */
export interface Ended {
  readonly x: number;
  readonly y: number;
  readonly time: number;
  /** the number of the cell that it ended in */
  readonly cell: number;
  /** it came into a cell of the source, or to the time that was wanted; otherwise it hardly moved any more */
  readonly arrived: boolean;
}

/**
 * Slower than this a point stands still: in the corners, mm per unit of time (batter crosses the mould in a
 * few units).
 */
const STILL = 1e-12;

/**
 * Time to go from `v` at here to the face `distance` ahead where it is `end`, on a line between them; both
 * positive.
 */
const timeTo = (distance: number, v: number, end: number): number => {
  if (end <= STILL) return Infinity;
  const gain = end - v;
  return Math.abs(gain) < 1e-9 * v ? distance / v : (Math.log(end / v) * distance) / gain;
};

/** How far a point goes in `time` at `v`, changing by `slope` a mm. */
const gone = (v: number, slope: number, time: number): number =>
  Math.abs(slope * time) < 1e-9 ? v * time : (v * Math.expm1(slope * time)) / slope;

/**
 * Follow a flow line from (x, y), mm from the corner of the grid, `way` 1 with the flow or -1 against it,
 * until `stop` says so of a cell or `until` has passed. In each cell the velocity across it changes evenly
 * from face to face, so the way through a cell is exact, and so is what the flow carries: D. W. Pollock,
 * "Semianalytical computation of path lines for finite-difference models", Ground Water 1988 (from memory).
 */
export function follow(
  { nx, ny, dx, dy }: Grid,
  { u, v }: Faces,
  from: readonly [x: number, y: number],
  way: 1 | -1,
  stop: (cell: number) => boolean,
  until = Infinity,
): Ended {
  let [x, y] = from;
  let i = Math.min(nx - 1, Math.max(0, Math.floor(x / dx)));
  let j = Math.min(ny - 1, Math.max(0, Math.floor(y / dy)));
  let time = 0;
  const most = 4 * (nx + ny);
  for (let n = 0; n < most; n += 1) {
    if (stop(j * nx + i)) return { x, y, time, cell: j * nx + i, arrived: true };
    const left = way * (u[j * (nx + 1) + i] as number);
    const right = way * (u[j * (nx + 1) + i + 1] as number);
    const near = way * (v[j * nx + i] as number);
    const far = way * (v[(j + 1) * nx + i] as number);
    const [sx, sy] = [(right - left) / dx, (far - near) / dy];
    const vx = left + sx * (x - i * dx);
    const vy = near + sy * (y - j * dy);
    const tx =
      vx > STILL
        ? timeTo((i + 1) * dx - x, vx, right)
        : vx < -STILL
          ? timeTo(x - i * dx, -vx, -left)
          : Infinity;
    const ty =
      vy > STILL
        ? timeTo((j + 1) * dy - y, vy, far)
        : vy < -STILL
          ? timeTo(y - j * dy, -vy, -near)
          : Infinity;
    const t = Math.min(tx, ty);
    if (time + t >= until) {
      const rest = until - time;
      return {
        x: x + gone(vx, sx, rest),
        y: y + gone(vy, sy, rest),
        time: until,
        cell: j * nx + i,
        arrived: true,
      };
    }
    if (t === Infinity) return { x, y, time, cell: j * nx + i, arrived: false };
    time += t;
    if (tx <= ty) {
      y = Math.min((j + 1) * dy, Math.max(j * dy, y + gone(vy, sy, t)));
      i += vx > 0 ? 1 : -1;
      x = vx > 0 ? i * dx : (i + 1) * dx;
    } else {
      x = Math.min((i + 1) * dx, Math.max(i * dx, x + gone(vx, sx, t)));
      j += vy > 0 ? 1 : -1;
      y = vy > 0 ? j * dy : (j + 1) * dy;
    }
    if (i < 0 || j < 0 || i >= nx || j >= ny) break;
  }
  return { x, y, time, cell: 0, arrived: false };
}
