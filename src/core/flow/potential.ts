/** Cells of a rectangle, `nx` across and `ny` along, of `dx` by `dy` mm; cell (i, j) is at [j * nx + i]. */
export interface Grid {
  readonly nx: number;
  readonly ny: number;
  readonly dx: number;
  readonly dy: number;
}

/**
 * Velocities through the faces of the cells, mm per unit of time, positive to the right and away: u is (nx +
 * 1) x ny, v is nx x (ny + 1).
 */
export interface Faces {
  readonly u: Float64Array;
  readonly v: Float64Array;
}

/** The cosines of the discrete Neumann problem: row k holds mode k at the cells' middles, normed. */
function modes(n: number): Float64Array {
  const m = new Float64Array(n * n);
  for (let k = 0; k < n; k += 1) {
    const norm = Math.sqrt((k === 0 ? 1 : 2) / n);
    for (let i = 0; i < n; i += 1) m[k * n + i] = norm * Math.cos((Math.PI * k * (i + 0.5)) / n);
  }
  return m;
}

/**
 * rows x inner times inner x columns; either may be read transposed. Plain loops: this is where the time
 * goes.
 */
function times(a: Float64Array, b: Float64Array, rows: number, inner: number, columns: number): Float64Array {
  const out = new Float64Array(rows * columns);
  for (let r = 0; r < rows; r += 1)
    for (let k = 0; k < inner; k += 1) {
      const x = a[r * inner + k] as number;
      if (x === 0) continue;
      const from = k * columns;
      const to = r * columns;
      for (let c = 0; c < columns; c += 1)
        out[to + c] = (out[to + c] as number) + x * (b[from + c] as number);
    }
  return out;
}

function transposed(a: Float64Array, rows: number, columns: number): Float64Array {
  const out = new Float64Array(a.length);
  for (let r = 0; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1) out[c * rows + r] = a[r * columns + c] as number;
  return out;
}

/**
 * The flow that has the divergence `supply` in each cell and goes through no wall: the gradient of the
 * potential with lap phi = supply, solved exactly on the grid in cosines (the five-point Laplacian is
 * diagonal in them). `supply` must sum to nothing.
 */
export function flowOf({ nx, ny, dx, dy }: Grid, supply: Float64Array): Faces {
  const [cx, cy] = [modes(nx), modes(ny)];
  const spread = times(times(cy, supply, ny, ny, nx), transposed(cx, nx, nx), ny, nx, nx);
  for (let l = 0; l < ny; l += 1)
    for (let k = 0; k < nx; k += 1) {
      const sx = (2 * Math.sin((Math.PI * k) / (2 * nx))) / dx;
      const sy = (2 * Math.sin((Math.PI * l) / (2 * ny))) / dy;
      const eigen = sx * sx + sy * sy;
      const at = l * nx + k;
      spread[at] = eigen === 0 ? 0 : (spread[at] as number) / eigen;
    }
  // this is minus the potential, so that batter flows down it
  const head = times(times(transposed(cy, ny, ny), spread, ny, ny, nx), cx, ny, nx, nx);
  const u = new Float64Array((nx + 1) * ny);
  const v = new Float64Array(nx * (ny + 1));
  for (let j = 0; j < ny; j += 1)
    for (let i = 1; i < nx; i += 1)
      u[j * (nx + 1) + i] = ((head[j * nx + i - 1] as number) - (head[j * nx + i] as number)) / dx;
  for (let j = 1; j < ny; j += 1)
    for (let i = 0; i < nx; i += 1)
      v[j * nx + i] = ((head[(j - 1) * nx + i] as number) - (head[j * nx + i] as number)) / dy;
  return { u, v };
}
