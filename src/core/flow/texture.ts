import { boxAbout, long, wide, type Box } from './box.ts';
import type { Levels } from './levels.ts';
import { numbers } from '../numeric/numbers.ts';
import { edgesOf, isIn } from './outline.ts';
import type { Mixed } from './spec.ts';

/**
 * What a place of a mixed pour is worth, from 0 up: its deposits are told apart by it. mm in the reference
 * rectangle, and mm of height.
 */
type Worth = (x: number, y: number, height: number) => number;

/** A lattice of numbers from 0 to 1 that comes again after so many corners each way. */
const AGAIN = 32;
const CORNERS = Float64Array.from({ length: AGAIN ** 3 }, numbers(20261126));

const cornerAt = (i: number, j: number, k: number): number =>
  CORNERS[((k & 31) << 10) | ((j & 31) << 5) | (i & 31)] as number;

const smooth = (t: number): number => t * t * (3 - 2 * t);

/** Smooth from corner to corner of a lattice of one. */
function noise(x: number, y: number, z: number): number {
  const [i, j, k] = [Math.floor(x), Math.floor(y), Math.floor(z)];
  const [a, b, c] = [smooth(x - i), smooth(y - j), smooth(z - k)];
  const edge = (dj: number, dk: number): number =>
    cornerAt(i, j + dj, k + dk) * (1 - a) + cornerAt(i + 1, j + dj, k + dk) * a;
  return (edge(0, 0) * (1 - b) + edge(1, 0) * b) * (1 - c) + (edge(0, 1) * (1 - b) + edge(1, 1) * b) * c;
}

/**
 * How coarse the streaks of a pot are that was turned over once, mm across; and how much longer they are
 * along the pour.
 */
const COARSE = 34;
const DRAWN_OUT = 2.6;
const FLATTENED = 0.5;

/**
 * Colours stirred into one another with a spoon: smooth noise, bent by itself, finer with every turn, and
 * drawn out along the pour. A judgement, no source.
 */
function stirred(turns: number): Worth {
  const size = COARSE / (1 + turns) ** 0.8;
  const bend = 0.9 + 0.25 * turns;
  return (x, y, z) => {
    const [u, v, w] = [x / size, y / (size * DRAWN_OUT), z / (size * FLATTENED)];
    const by = bend * (noise(u * 0.7 + 31, v * 0.7, w * 0.7) - 0.5);
    const along = bend * (noise(u * 0.7, v * 0.7 + 17, w * 0.7) - 0.5);
    return noise(u + by, v + along, w + by) + 0.35 * noise(2.3 * u + along, 2.3 * v, 2.3 * w + 9);
  };
}

/**
 * How far a jug swings to either side as it goes along, of the way from one wiggle to the next; and how long
 * a swing is.
 */
const SWING = 0.42;
const SWING_LONG = 2.4;

/**
 * Colours side by side in one jug, poured in wiggles: bands that go to and fro, one set of them from wiggle
 * to wiggle. All places of a wiggle are worth as much: from 0 to 1 across it.
 */
const wiggled = (spacingMm: number): Worth => {
  const long = spacingMm * SWING_LONG;
  return (x, y, z) => {
    const swing = SWING * spacingMm * Math.sin((2 * Math.PI * y) / long + z / spacingMm);
    const at = (x + swing) / spacingMm;
    return at - Math.floor(at);
  };
};

/** Looks that shares are told from, each way: across, along and up. */
const LOOKS = [70, 110, 30] as const;

/** A worth that takes long is kept on about so many points of a grid. */
const POINTS = 160_000;

/** The same, looked up between the points of a grid over a box, from the height `from` to `to`. */
function kept(worth: Worth, box: Box, from: number, to: number): Worth {
  const sizes = [wide(box), long(box), Math.max(1e-6, to - from)] as const;
  const spacing = Math.cbrt((sizes[0] * sizes[1] * sizes[2]) / POINTS);
  const [nx, ny, nz] = sizes.map((s) => Math.max(2, Math.ceil(s / spacing))) as [number, number, number];
  const [row, sheet] = [nx + 1, (nx + 1) * (ny + 1)];
  const values = new Float64Array(sheet * (nz + 1));
  for (let k = 0; k <= nz; k += 1)
    for (let j = 0; j <= ny; j += 1)
      for (let i = 0; i <= nx; i += 1)
        values[k * sheet + j * row + i] = worth(
          box.x0 + (i / nx) * sizes[0],
          box.y0 + (j / ny) * sizes[1],
          from + (k / nz) * sizes[2],
        );
  const cell = (at: number, n: number): number => Math.min(n - 1, Math.max(0, Math.floor(at)));
  const part = (at: number, i: number): number => Math.min(1, Math.max(0, at - i));
  return (x, y, z) => {
    const [fx, fy, fz] = [
      ((x - box.x0) / sizes[0]) * nx,
      ((y - box.y0) / sizes[1]) * ny,
      ((z - from) / sizes[2]) * nz,
    ];
    const [i, j, k] = [cell(fx, nx), cell(fy, ny), cell(fz, nz)];
    const [a, b, c] = [part(fx, i), part(fy, j), part(fz, k)];
    const at = k * sheet + j * row + i;
    const edge = (n: number): number => (values[n] as number) * (1 - a) + (values[n + 1] as number) * a;
    const near = edge(at) * (1 - b) + edge(at + row) * b;
    const far = edge(at + sheet) * (1 - b) + edge(at + sheet + row) * b;
    return near * (1 - c) + far * c;
  };
}

/** Deposits of a mixed pour by place. */
export interface Texture {
  readonly worth: Worth;
  /** the first deposit lies below the first of these, and so on */
  readonly below: Float64Array;
  readonly deposits: Int32Array;
  /** by level: the height that it was at when this was poured */
  readonly heights: Float64Array;
}

/**
 * Just so much of each deposit, by how often each worth comes between two heights of a block. `heights` as
 * for the run.
 */
export function textureOf(
  { levels, box }: Levels,
  { how, parts }: Mixed,
  from: number,
  to: number,
  heights: Float64Array,
): Texture {
  const worth = how.kind === 'stirred' ? kept(stirred(how.turns), box, from, to) : wiggled(how.spacingMm);
  const top = levels.at(-1);
  const edges = top && !top.fills ? edgesOf(top.outline) : undefined;
  const own = top && !top.fills ? boxAbout(top.outline) : box;
  const [nx, ny, nz] = LOOKS;
  const values: number[] = [];
  for (let k = 0; k < nz; k += 1)
    for (let j = 0; j < ny; j += 1)
      for (let i = 0; i < nx; i += 1) {
        // each row a little aside, so that bands are not always met alike
        const u = (i + ((j * 0.618 + k * 0.382) % 1)) / nx;
        const v = (j + ((k * 0.618 + 0.5) % 1)) / ny;
        const [ox, oy] = [own.x0 + u * (own.x1 - own.x0), own.y0 + v * (own.y1 - own.y0)];
        if (edges && !isIn(edges, ox, oy)) continue;
        const [x, y] = [box.x0 + u * (box.x1 - box.x0), box.y0 + v * (box.y1 - box.y0)];
        values.push(worth(x, y, from + ((k + 0.5) / nz) * (to - from)));
      }
  values.sort((a, b) => a - b);
  const all = parts.reduce((s, p) => s + p.share, 0);
  let before = 0;
  const below = Float64Array.from(parts, (p, i) => {
    before += p.share / all;
    return i === parts.length - 1
      ? Infinity
      : (values[Math.min(values.length - 1, Math.floor(before * values.length))] ?? Infinity);
  });
  return { worth, below, deposits: Int32Array.from(parts, (p) => p.deposit), heights };
}

/** Which deposit a place of a mixed pour is in. */
export function mixedAt(
  { worth, below, deposits, heights }: Texture,
  x: number,
  y: number,
  level: number,
  through: number,
): number {
  const near = through < 0.5 ? Math.max(0, level - 1) : Math.min(heights.length - 1, level + 1);
  const here = heights[level] as number;
  const value = worth(x, y, here + Math.abs(through - 0.5) * ((heights[near] as number) - here));
  let i = 0;
  while (value >= (below[i] as number)) i += 1;
  return deposits[i] as number;
}
