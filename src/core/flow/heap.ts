import { remembered } from '../task/remembered.ts';
import { partAt, type Edge } from './edge.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import type { RowReader } from './depositAt.ts';
import { scattered, type Covers } from './scatter.ts';
import { unevenAt, type Uneven } from './uneven.ts';

/**
 * Something that lies on a surface, told by how high it stands over it at each place, mm. So its volume is
 * the same on every surface, and what is put over it lies on it.
 *
 * - `dome`: what a star nozzle leaves, a fluted paraboloid;
 * - `rope`: a continuous row along y, its section a parabola, waved along it;
 * - `ridge`: a parabola along y or along x, as far as there is soap;
 * - `ball`: half an ellipsoid;
 * - `rod`: upright;
 * - `grains`: strewn, one in each square of the plan;
 * - `relief`: hanging below, in the hollows of a mat.
 */
export type Thing = Covers & {
  /** number of its deposit */
  readonly deposit: number;
  readonly mm: number;
} & (
    | { readonly form: 'dome' | 'ball' }
    /** how deep it goes below the surface, mm */
    | { readonly form: 'rod'; readonly sinkMm: number }
    /** so many waves along it */
    | { readonly form: 'rope'; readonly waves: number }
    | { readonly form: 'ridge'; readonly axis: 0 | 1 }
    /** the side of each square, and the radius of a grain, mm */
    | { readonly form: 'grains'; readonly eachMm: number; readonly radiusMm: number }
    | { readonly form: 'relief'; readonly axis: 0 | 1; readonly edge: Edge }
  );

/** Whatever lies on a loaf. Can be posted. */
export interface HeapSpec {
  /** surfaces that the loaf ends at: the highest of them is its top */
  readonly planes: readonly { readonly up: Vec3; readonly offset: number }[];
  /** the last of them, where it is no plane */
  readonly uneven?: Uneven;
  /** in the order they were put there */
  readonly things: readonly Thing[];
  /** what is in it hangs below level ground at 0 */
  readonly hangs?: true;
  /** read with the light that falls on it from above */
  readonly relief?: true;
}

/**
 * Flutes of a star nozzle: how many, and how much of the square of its radius they are. Judgements, no
 * source.
 */
const FLUTES = 6;
const FLUTED = 0.3;

/** How much the waves of a rope stand out. A judgement, no source. */
const WAVED = 0.16;

/** So many of the squares have a grain: strewn by hand they lie closer here and there. */
export const STREWN = 0.55;

/** What is inside the outermost of its flutes, as a part of the circle round them. */
const CORE = 1 / (1 + FLUTED);

/** 0 to 1, the same for the same square. */
function hashed(i: number, j: number, k: number): number {
  let h = Math.imul(i, 374_761_393) ^ Math.imul(j, 668_265_263) ^ Math.imul(k + 1, 2_246_822_519);
  h = Math.imul(h ^ (h >>> 13), 1_274_126_177);
  return ((h ^ (h >>> 16)) >>> 0) / 4_294_967_296;
}

function grainHere(eachMm: number, radiusMm: number, x: number, y: number): boolean {
  const [i, j] = [Math.floor(x / eachMm), Math.floor(y / eachMm)];
  if (hashed(i, j, 2) > STREWN) return false;
  const room = eachMm - 2 * radiusMm;
  const dx = x - i * eachMm - radiusMm - room * hashed(i, j, 0);
  const dy = y - j * eachMm - radiusMm - room * hashed(i, j, 1);
  return dx * dx + dy * dy <= radiusMm * radiusMm;
}

/** How high a thing stands over what it lies on, mm; 0 where it is not. */
export function standsAt(thing: Thing, x: number, y: number): number {
  const [dx, dy] = [x - thing.x, y - thing.y];
  if (Math.abs(dx) > thing.halfX || Math.abs(dy) > thing.halfY) return 0;
  const { mm } = thing;
  switch (thing.form) {
    case 'dome': {
      const fluted = CORE * (1 + FLUTED * Math.cos(FLUTES * Math.atan2(dy, dx)));
      const u = (dx * dx + dy * dy) / (thing.halfX * thing.halfX * fluted);
      return u < 1 ? mm * (1 - u) : 0;
    }
    case 'ball': {
      const u = (dx * dx + dy * dy) / (thing.halfX * thing.halfX);
      return u < 1 ? mm * Math.sqrt(1 - u) : 0;
    }
    case 'rod':
      return dx * dx + dy * dy < thing.halfX * thing.halfX ? mm : 0;
    case 'rope': {
      const wave = Math.cos((Math.PI * thing.waves * (dy + thing.halfY)) / thing.halfY);
      return mm * (1 - (dx / thing.halfX) ** 2) * (1 + WAVED * wave);
    }
    case 'ridge':
      return mm * (1 - (thing.axis === 0 ? dx / thing.halfX : dy / thing.halfY) ** 2);
    case 'grains':
      return grainHere(thing.eachMm, thing.radiusMm, x, y) ? mm : 0;
    case 'relief':
      return mm * (1 - partAt(thing.edge, thing.axis === 0 ? x : y));
  }
}

/** The highest that it stands, mm. */
export const highestOf = (thing: Thing): number =>
  thing.form === 'rope' ? thing.mm * (1 + WAVED) : thing.mm;

/**
 * What is above the surface of a thing that lies all in the loaf's plan, mm^3: by its form. That of a ridge
 * or a relief depends on the plan.
 */
export function volumeOfThing(thing: Exclude<Thing, { form: 'ridge' | 'relief' }>): number {
  const { mm, halfX, halfY } = thing;
  const round = Math.PI * halfX * halfX * mm;
  switch (thing.form) {
    case 'dome':
      return (round * CORE) / 2;
    case 'ball':
      return (round * 2) / 3;
    case 'rod':
      return round;
    case 'rope':
      return (4 / 3) * halfX * mm * 2 * halfY;
    case 'grains':
      return ((4 * halfX * halfY * STREWN) / thing.eachMm ** 2) * Math.PI * thing.radiusMm ** 2 * mm;
  }
}

/** What of a column a thing takes up, mm: the number of its deposit, and from where to where. */
export type InColumn = readonly [deposit: number, low: number, high: number];

/**
 * What lies in the column over a place, in the order it was put there; a rod reaches down through what was
 * there before it.
 */
export function columnOf({
  planes,
  uneven,
  things,
  hangs,
}: HeapSpec): (x: number, y: number) => readonly InColumn[] {
  const near = scattered(things);
  const surface = hangs ? () => 0 : surfaceUnder(planes, uneven);
  return (x, y) => {
    let top = surface(x, y);
    const column: InColumn[] = [];
    for (const thing of near(x, y)) {
      const stands = standsAt(thing, x, y);
      if (stands <= 0) continue;
      if (hangs) column.push([thing.deposit, 0 - stands, 0]);
      else column.push([thing.deposit, thing.form === 'rod' ? top - thing.sinkMm : top, top + stands]);
      top += stands;
    }
    return column;
  };
}

/** Reads what lies at a place: the number of its deposit plus one, 0 where there is nothing of it. */
export function heapAt(spec: HeapSpec): (x: number, y: number, z: number) => number {
  const column = columnOf(spec);
  return (x, y, z) => {
    for (const [deposit, low, high] of column(x, y)) if (z >= low && z < high) return deposit + 1;
    return 0;
  };
}

/** How high the top of a loaf is at a place, mm: without what lies on it. */
export function surfaceUnder(
  planes: HeapSpec['planes'],
  uneven: Uneven | undefined,
): (x: number, y: number) => number {
  return (x, y) => {
    let top = uneven ? unevenAt(uneven, x, y) : -Infinity;
    for (const { up, offset } of planes) top = Math.max(top, (offset - dot(up, [x, y, 0])) / up[2]);
    return top;
  };
}

/** How high the top stands at a place with all that lies on it, mm; turned over, of what hangs. */
export function heightWith({ planes, uneven, things, hangs }: HeapSpec): (x: number, y: number) => number {
  const near = scattered(things);
  const surface = hangs ? () => 0 : surfaceUnder(planes, uneven);
  return (x, y) => near(x, y).reduce((top, thing) => top + standsAt(thing, x, y), surface(x, y));
}

/** Where light comes from, and how many steps of it are told apart. */
const LIGHT: Vec3 = [-0.42, -0.38, 0.82];
export const LIGHTS = 8;

/** Slopes are told over so much, mm. */
const SLOPE_MM = 0.5;

/** How much light falls on a place of the top, 0 to LIGHTS - 1. */
function lightOn(height: (x: number, y: number) => number): (x: number, y: number) => number {
  return (x, y) => {
    const gx = (height(x + SLOPE_MM, y) - height(x - SLOPE_MM, y)) / (2 * SLOPE_MM);
    const gy = (height(x, y + SLOPE_MM) - height(x, y - SLOPE_MM)) / (2 * SLOPE_MM);
    const light = (LIGHT[2] - gx * LIGHT[0] - gy * LIGHT[1]) / Math.hypot(gx, gy, 1);
    return Math.min(LIGHTS - 1, Math.max(0, Math.floor(light * LIGHTS)));
  };
}

/**
 * Row by row, as `rowReader` reads a block; places where there is nothing are left as they are. In relief a
 * deposit has one number for each step of light, the darkest first.
 */
export function heapReader(spec: HeapSpec): RowReader {
  const at = spec.relief ? reliefAt(spec) : heapAt(spec);
  return (from, step, count, out, to, add) => {
    for (let n = 0; n < count; n += 1) {
      const number = at(from[0] + step[0] * n, from[1] + step[1] * n, from[2] + step[2] * n);
      if (number > 0) out[to + n] = number - 1 + add;
    }
  };
}

/** A heap in relief is known column by column, mm: a picture of it asks for each of them many times. */
const COLUMN_MM = 0.3;

interface LitColumn {
  readonly column: readonly InColumn[];
  readonly light: number;
}

const litColumns = remembered((_spec: HeapSpec) => new Map<number, LitColumn>());

/** What lies at a place, and in how much light: the number of both plus one. */
function reliefAt(spec: HeapSpec): (x: number, y: number, z: number) => number {
  const column = columnOf(spec);
  const light = lightOn(heightWith(spec));
  const known = litColumns(spec);
  return (x, y, z) => {
    const [i, j] = [Math.round(x / COLUMN_MM), Math.round(y / COLUMN_MM)];
    const key = i * 131_072 + j;
    let here = known.get(key);
    if (!here) {
      const [cx, cy] = [i * COLUMN_MM, j * COLUMN_MM];
      const own = column(cx, cy);
      here = { column: own, light: own.length > 0 ? light(cx, cy) : 0 };
      known.set(key, here);
    }
    for (const [deposit, low, high] of here.column)
      if (z >= low && z < high) return deposit * LIGHTS + here.light + 1;
    return 0;
  };
}
