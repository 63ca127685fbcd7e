import { expect } from 'chai';
import { before as placeBefore, beyondAt, fieldOf } from '../../src/core/flow/field.ts';
import { flowOf } from '../../src/core/flow/potential.ts';
import { maskedFlow } from '../../src/core/flow/maskedFlow.ts';
import { valueAt } from '../../src/core/flow/box.ts';
import { after, before, LAID, newPart, type Rise } from '../../src/core/flow/rise.ts';
import { draggedTo } from '../../src/core/flow/stroke.ts';
import { finish } from '../../src/core/task/task.ts';
import { plungeOf } from '../../src/core/setting/plunge.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { rowReader } from '../../src/core/flow/depositAt.ts';
import { prepare } from '../../src/core/flow/prepare.ts';
import type { Spot } from '../../src/core/flow/spec.ts';
import { arc } from '../../src/core/geometry/prism.ts';
import { bodiesOf } from '../../src/core/pattern/blocks.ts';
import { demoPlans } from '../support/plans.ts';
import { seeded } from '../support/random.ts';

const BOX = { x0: -100, x1: 100, y0: -140, y1: 140 };

describe('what a pour moves up and down', () => {
  const random = seeded(3);
  const any = (): Rise => {
    const from = 5 + 60 * random();
    return {
      from,
      to: from + 0.5 + 20 * random(),
      plunge: 1 + 6 * random(),
      base: random() < 0.5 ? 0 : from * random(),
    };
  };

  it('comes back to where it was, to 1e-9', () => {
    for (let n = 0; n < 2000; n += 1) {
      const rise = any();
      const z = rise.from * random();
      expect(before(rise, after(rise, z))).to.be.closeTo(z, 1e-9);
    }
  });

  it('keeps volume: new batter at all levels together is what was poured, by quadrature', () => {
    for (let n = 0; n < 60; n += 1) {
      const rise = any();
      const steps = 4000;
      let sum = 0;
      for (let i = 0; i < steps; i += 1) {
        const z = ((i + 0.5) / steps) * rise.to;
        sum += (newPart(rise, z, before(rise, z)) * rise.to) / steps;
      }
      expect(sum).to.be.closeTo(rise.to - rise.from, 0.003 * rise.to);
    }
  });

  it('goes through the whole depth at 1, and lies on top where it is laid', () => {
    const through: Rise = { from: 30, to: 40, plunge: 1, base: 0 };
    for (const z of [1, 20, 39]) expect(before(through, z)).to.be.closeTo((z * 30) / 40, 1e-12);
    const laid: Rise = { from: 30, to: 40, plunge: LAID, base: 0 };
    expect([10, 35].map((z) => newPart(laid, z, before(laid, z)))).to.deep.equal([0, 1]);
    // ever larger plunges come to that
    const nearly: Rise = { from: 30, to: 40, plunge: 300, base: 0 };
    expect(newPart(nearly, 25, before(nearly, 25))).to.be.below(1e-6);
    expect(newPart(nearly, 35, before(nearly, 35))).to.be.closeTo(1, 1e-6);
  });

  it('plunges deeper from higher and when thinner, between 1 and 6', () => {
    expect(plungeOf(0.5, 200, 1.01)).to.be.below(plungeOf(0.5, 20, 1.01));
    expect(plungeOf(2.5, 50, 1.01)).to.be.above(plungeOf(0.5, 50, 1.01));
    expect(plungeOf(5, 5, 1.01)).to.equal(6);
  });
});

describe('potential flow from a source in a rectangle', () => {
  const grid = { nx: 60, ny: 84, dx: 200 / 60, dy: 280 / 84 };
  /** a source in one cell that feeds all the others */
  const supplyAt = (cell: number): Float64Array =>
    Float64Array.from({ length: grid.nx * grid.ny }, (_, k) => (k === cell ? grid.nx * grid.ny - 1 : -1));

  it('agrees with the series of cosines of a point source (separation of variables, from memory)', () => {
    const [i, j] = [20, 30];
    const { u, v } = flowOf(grid, supplyAt(j * grid.nx + i));
    const [a, b] = [200, 280];
    const [cx, cy] = [(i + 0.5) * grid.dx, (j + 0.5) * grid.dy];
    // lap phi = q delta - q/(ab), parted in cosines along x; along y each is closed in cosh
    const q = grid.nx * grid.ny * grid.dx * grid.dy;
    const series = (x: number, y: number): readonly [number, number] => {
      const [low, high] = [Math.min(y, cy), Math.max(y, cy)];
      let [gx, gy] = [0, (q / a) * ((y > cy ? 1 : 0) - y / b)];
      for (let m = 1; m < 400; m += 1) {
        const k = (Math.PI * m) / a;
        // a source as wide as its cell
        const spread = Math.sin((k * grid.dx) / 2) / ((k * grid.dx) / 2);
        const weight = ((2 * q) / a) * Math.cos(k * cx) * spread;
        // cosh(k low) cosh(k (b - high)) / sinh(k b), and its derivative along y, without overflow
        const e = Math.exp(-k * (high - low)) / (2 * -Math.expm1(-2 * k * b));
        const [f, g] = [Math.exp(-2 * k * low), Math.exp(-2 * k * (b - high))];
        gx += weight * Math.sin(k * x) * e * (1 + f) * (1 + g);
        gy += weight * Math.cos(k * x) * e * (y > cy ? (1 + f) * (1 - g) : -(1 - f) * (1 + g));
      }
      return [gx, gy];
    };
    for (const [p, r] of [
      [40, 40],
      [20, 60],
      [50, 70],
      [5, 10],
    ] as const) {
      // a face between cells p-1 and p, and one between r-1 and r
      const [sx] = series(p * grid.dx, (r + 0.5) * grid.dy);
      const [, sy] = series((p + 0.5) * grid.dx, r * grid.dy);
      const scale = Math.hypot(sx, sy);
      expect(u[r * (grid.nx + 1) + p]! - sx, `u at ${p}, ${r}`).to.be.closeTo(0, 0.01 * scale);
      expect(v[r * grid.nx + p]! - sy, `v at ${p}, ${r}`).to.be.closeTo(0, 0.01 * scale);
    }
  });

  it('the same by conjugate gradients where nothing is closed', () => {
    const supply = supplyAt(1234);
    const [exact, found] = [
      flowOf(grid, supply),
      maskedFlow(grid, supply, new Uint8Array(supply.length).fill(1)),
    ];
    const most = Math.max(...exact.u.map(Math.abs));
    for (const [k, u] of exact.u.entries()) expect(Math.abs(found.u[k]! - u)).to.be.below(1e-4 * most);
  });

  it('from the middle of a round plan goes straight out: what lies beyond is by area', () => {
    const circle = Array.from({ length: 96 }, (_, k): [number, number] => [
      50 * Math.cos((2 * Math.PI * k) / 96),
      50 * Math.sin((2 * Math.PI * k) / 96),
    ]);
    const box = { x0: -50, x1: 50, y0: -50, y1: 50 };
    const field = finish(fieldOf(box, { at: [0, 0] }, false, { outline: circle }));
    for (const r of [10, 20, 30, 40])
      for (const angle of [0.3, 1.1, 2.5, 4])
        expect(valueAt(field.beyond, r * Math.cos(angle), r * Math.sin(angle))).to.be.closeTo(
          1 - (r / 50) ** 2,
          0.03,
        );
  });

  it('what is pushed aside fills the plan evenly when it is put back', () => {
    const field = finish(fieldOf(BOX, { at: [-30, -40] }, true));
    const [nx, ny, looks] = [6, 8, 300];
    const counts = new Float64Array(nx * ny);
    let all = 0;
    const left = 0.6;
    for (let i = 0; i < looks; i += 1)
      for (let j = 0; j < looks; j += 1) {
        const [x, y] = [BOX.x0 + ((i + 0.5) / looks) * 200, BOX.y0 + ((j + 0.5) / looks) * 280];
        if (valueAt(field.beyond, x, y) > left) continue;
        const [px, py] = placeBefore(field, x, y, left);
        const at = (v: number, low: number, size: number, n: number): number =>
          Math.min(n - 1, Math.max(0, Math.floor(((v - low) / size) * n)));
        const cell = at(py, BOX.y0, 280, ny) * nx + at(px, BOX.x0, 200, nx);
        counts[cell] = counts[cell]! + 1;
        all += 1;
      }
    expect(all / looks ** 2).to.be.closeTo(left, 0.01);
    const uneven = counts.map((c) => Math.abs((c / all) * nx * ny - 1)).sort();
    // all but the cells about the source itself to 5 %
    expect(uneven[nx * ny - 5]).to.be.below(0.05);
  });
});

describe('a stick drawn through batter', () => {
  const across: [number, number][] = [
    [-95, 0],
    [95, 0],
  ];

  it('leaves batter where it finds it again when everything is taken back', () => {
    const paths = [across, [[0, -100] as [number, number], [20, 90] as [number, number]]];
    const random = seeded(8);
    for (let n = 0; n < 100; n += 1) {
      const spot: [number, number] = [180 * random() - 90, 260 * random() - 130];
      const [x, y] = draggedTo(paths, 16, BOX, draggedTo(paths, 16, BOX, spot, 1), -1);
      expect(Math.hypot(x - spot[0], y - spot[1])).to.be.below(0.02);
    }
  });

  it('carries batter as its stream function says, followed step by step', () => {
    const [w, drag] = [20, 0.65];
    const psi = (x: number, y: number): number => {
      const q = (x * x + y * y) / (w * w);
      return q < 1 ? drag * y * (1 - q) ** 3 : 0;
    };
    const flow = (x: number, y: number): readonly [number, number] => {
      const e = 1e-4;
      return [(psi(x, y + e) - psi(x, y - e)) / (2 * e), (psi(x - e, y) - psi(x + e, y)) / (2 * e)];
    };
    for (const d of [0, 3, 7, 12, 16]) {
      let [x, y] = [-10, d];
      const h = 0.02;
      // Euler's midpoint rule in steps of a fiftieth of a millimetre
      for (let stick = -95; stick < 95; stick += h) {
        const [u, v] = flow(x - stick, y);
        const [p, r] = flow(x + (u * h) / 2 - stick - h / 2, y + (v * h) / 2);
        x += p * h;
        y += r * h;
      }
      const [px, py] = draggedTo([across], w, BOX, [-10, d], 1);
      expect(Math.hypot(px - x, py - y), `${d}`).to.be.below(0.3);
    }
  });

  it('carries the batter in its way along, as the quadrature of its slip has it', () => {
    // in the stick's frame what is right in its way goes by at 1 - DRAG g: it is carried by the integral of
    // DRAG g / (1 - DRAG g)
    const [w, drag] = [20, 0.65];
    let wanted = 0;
    const steps = 4000;
    for (let i = 0; i < steps; i += 1) {
      const g = (1 - (((i + 0.5) / steps) * 2 - 1) ** 2) ** 3;
      wanted += (((drag * g) / (1 - drag * g)) * 2 * w) / steps;
    }
    const [x] = draggedTo([across], w, BOX, [-20, 0], 1);
    expect(x + 20).to.be.closeTo(wanted, 0.02 * wanted);
  });

  it('moves no more than it makes room for: areas stay', () => {
    const paths = [across];
    const e = 0.05;
    const random = seeded(4);
    for (let n = 0; n < 60; n += 1) {
      const [x, y] = [160 * random() - 80, 40 * random() - 20];
      const at = (dx: number, dy: number) => draggedTo(paths, 16, BOX, [x + dx, y + dy], -1);
      const [a, b, c, d] = [at(e, 0), at(-e, 0), at(0, e), at(0, -e)];
      const area = ((a[0] - b[0]) * (c[1] - d[1]) - (c[0] - d[0]) * (a[1] - b[1])) / (4 * e * e);
      expect(area, `${x}, ${y}`).to.be.closeTo(1, 0.02);
    }
  });
});

describe('a face that stands upright', () => {
  it('is read alike row by row, where rows share what they have, and column by column, where each place is followed by itself', () => {
    const random = seeded(41);
    for (const name of ['Basalt Columns', 'Cotton Grass', 'Ripple Sill']) {
      const plan = demoPlans().find((p) => p.name === name)!;
      const laid = computePlan(plan);
      for (const body of bodiesOf(laid)) {
        if (body.kind !== 'block' || body.block.content.kind !== 'moved') continue;
        const { most } = laid.geometry;
        const [nx, nz] = [90, 50];
        for (let face = 0; face < 4; face += 1) {
          const read = rowReader(finish(prepare(body.block.content.spec)));
          const y = (random() - 0.5) * most.length * (face === 0 ? 0 : 0.98);
          const [dx, dz] = [most.width / nx, laid.fill.heightMm / nz];
          const rows = new Uint16Array(nx * nz);
          const columns = new Uint16Array(nx * nz);
          const x0 = (dx - most.width) / 2;
          for (let j = 0; j < nz; j += 1) read([x0, y, (j + 0.43) * dz], [dx, 0, 0], nx, rows, j * nx, 1);
          for (let i = 0; i < nx; i += 1)
            read([x0 + i * dx, y, 0.43 * dz], [0, 0, dz], nz, columns, i * nz, 1);
          let differs = 0;
          for (let j = 0; j < nz; j += 1)
            for (let i = 0; i < nx; i += 1) if (rows[j * nx + i] !== columns[i * nz + j]) differs += 1;
          // what lies on an edge to a double's last digit may fall to either side
          expect(differs, `${name}, y ${y.toFixed(1)}`).to.be.below(4);
        }
      }
    }
  });
});

describe('potential flow from several sources', () => {
  it('adds up to the mean of what comes from each alone (the problem is linear), whatever solves it', () => {
    const grid = { nx: 40, ny: 30, dx: 2, dy: 2 };
    const cell = (i: number, j: number): number => j * grid.nx + i;
    const supplyAt = (...cells: readonly number[]): Float64Array => {
      const supply = new Float64Array(grid.nx * grid.ny).fill(-1);
      for (const c of cells) supply[c]! += (grid.nx * grid.ny) / cells.length;
      return supply;
    };
    const [a, b] = [cell(8, 9), cell(30, 21)];
    const both = flowOf(grid, supplyAt(a, b));
    const [one, other] = [flowOf(grid, supplyAt(a)), flowOf(grid, supplyAt(b))];
    const masked = maskedFlow(grid, supplyAt(a, b), new Uint8Array(grid.nx * grid.ny).fill(1));
    for (const k of both.u.keys()) {
      expect(both.u[k]).to.be.closeTo((one.u[k]! + other.u[k]!) / 2, 1e-9);
      expect(masked.u[k]).to.be.closeTo(both.u[k]!, 0.02);
    }
  });

  it('round something that stands in the way is that of a uniform stream past a circle', () => {
    // L. M. Milne-Thomson, Theoretical Hydrodynamics, 1968, uniform stream past a circular cylinder; from
    // memory
    const grid = { nx: 240, ny: 160, dx: 1, dy: 1 };
    const open = new Uint8Array(grid.nx * grid.ny).fill(1);
    const [cx, cy, r] = [120, 80, 12];
    let closed = 0;
    for (let j = 0; j < grid.ny; j += 1)
      for (let i = 0; i < grid.nx; i += 1)
        if (Math.hypot(i + 0.5 - cx, j + 0.5 - cy) < r) {
          open[j * grid.nx + i] = 0;
          closed += 1;
        }
    expect(closed).to.be.closeTo(Math.PI * r * r, 10);
    // in at the left end, out at the right one: uniform flow
    const supply = new Float64Array(grid.nx * grid.ny);
    for (let j = 0; j < grid.ny; j += 1) {
      supply[j * grid.nx] = 1;
      supply[j * grid.nx + grid.nx - 1] = -1;
    }
    const { u } = maskedFlow(grid, supply, open);
    for (const off of [1.5, 2, 3]) {
      // over the disc, across the flow: u = U (1 + r^2 / d^2)
      const d = off * r;
      const at = u[Math.floor(cy + d) * (grid.nx + 1) + cx]!;
      // walls 80 mm off make it a little faster
      expect(at).to.be.closeTo(1 + (r / d) ** 2, 0.06);
    }
    // before it, in the line of the flow: u = U (1 - r^2 / d^2)
    const before = u[cy * (grid.nx + 1) + cx - 2 * r]!;
    expect(before).to.be.closeTo(1 - 1 / 4, 0.06);
  });

  it('each source fills its own part: the areas of both sides of the seam are equal, and nothing is beyond it', () => {
    const disc = (x: number, y: number) => arc(8, 0, 2 * Math.PI, 48).map(([a, b]): Spot => [a + x, b + y]);
    const box = { x0: -60, x1: 60, y0: -40, y1: 40 };
    const field = finish(fieldOf(box, { outlines: [disc(-30, -5), disc(20, 12)] }, true));
    const from = field.from!;
    const first = from.reduce((s, f) => s + (f === 0 ? 1 : 0), 0);
    expect(first / from.length).to.be.closeTo(0.5, 0.02);
    // half of the area lies where less than half is left beyond
    const n = 200;
    let half = 0;
    let seen = 0;
    for (let j = 0; j < n; j += 1)
      for (let i = 0; i < n; i += 1) {
        const [x, y] = [box.x0 + ((i + 0.5) / n) * 120, box.y0 + ((j + 0.5) / n) * 80];
        const beyond = beyondAt(field, x, y);
        if (beyond > 0.9999) continue;
        seen += 1;
        if (beyond < 0.5) half += 1;
      }
    expect(half / seen).to.be.closeTo(0.5, 0.02);
  });
});
