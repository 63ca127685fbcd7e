import { clip } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { long, wide } from './box.ts';
import type { RowReader } from './depositAt.ts';
import { levelsOf, type Level, type Levels } from './levels.ts';
import type { BlockSpec } from './spec.ts';

/**
 * A surface in a tilted mould, up . x = offset (mm), and what was open below it before anything lay there.
 */
export interface Slope {
  readonly up: Vec3;
  readonly offset: number;
  readonly space: Polyhedron;
}

/** A block that stands sloping. Can be posted. */
export interface TiltedSpec {
  /** as it would lie if it were set level */
  readonly level: BlockSpec;
  readonly slope: Slope;
}

/** Places across and along that the depth before is kept at. */
const PLACES = 96;

const UP: Vec3 = [0, 0, 1];

/** Between two places of a rising list, and how far: the last place at or before a value. */
function placeIn(list: Float64Array, start: number, count: number, value: number): number {
  let [low, high] = [0, count - 1];
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if ((list[start + mid] as number) <= value) low = mid;
    else high = mid;
  }
  return low;
}

/** How far from a to b, 0 to 1, the area under a straight line is `part`, over a step of one. */
function alongLine(a: number, b: number, part: number): number {
  const rise = b - a;
  if (Math.abs(rise) < 1e-12 * Math.max(a, b, 1e-300)) return a > 0 ? part / a : 0;
  const root = Math.sqrt(Math.max(0, a * a + 2 * rise * part));
  return (root - a) / rise;
}

const kept = (x: number): number => Math.min(1, Math.max(0, x));

/** A place of a block: across and along, as parts of its level, and its height by volume. */
export interface Share {
  u: number;
  v: number;
  height: number;
}

/** A place sloping and the same place level, each written over the other. */
export interface Levelling {
  readonly toLevel: (place: Share) => void;
  readonly toSlope: (place: Share) => void;
}

/**
 * Setting a fluid block level: deep sides spread to shallow ones, first across and then along. Across: x' =
 * (1/h1) int_0^x h0 dx, z' = z h1/h0(x), h0 and h1 the depths before and after; then the same along. Areas,
 * and volumes, stay what they are. `depths` are those before at even places, (places + 1) each way, row by
 * row from the near end; between them they are straight, so that for planes this is the closed form. Worked
 * out for this project, no source.
 */
export function levellingOf(depths: Float64Array, places = PLACES): Levelling {
  const row = places + 1;
  const step = 1 / places;
  /** the area before each place of a row, and of all of it; and the volume before each row */
  const across = new Float64Array(row * row);
  const mean = new Float64Array(row);
  const along = new Float64Array(row);
  for (let j = 0; j < row; j += 1) {
    for (let i = 1; i < row; i += 1)
      across[j * row + i] =
        (across[j * row + i - 1] as number) +
        (((depths[j * row + i - 1] as number) + (depths[j * row + i] as number)) / 2) * step;
    mean[j] = across[j * row + places] as number;
    if (j > 0)
      along[j] = (along[j - 1] as number) + (((mean[j - 1] as number) + (mean[j] as number)) / 2) * step;
  }
  const whole = along[places] as number;
  const now = new Float64Array(row);
  const between = (list: Float64Array, at: number, t: number): number => {
    const a = list[at] as number;
    return a + ((list[at + row] as number) - a) * t;
  };
  /** The volume, or area, up to a part of a step. */
  const upTo = (a: number, b: number, t: number): number => (a * t + ((b - a) * t * t) / 2) * step;
  const place = (part: number): readonly [number, number] => {
    const i = Math.min(places - 1, Math.floor(kept(part) * places));
    return [i, kept(part) * places - i];
  };
  return {
    toLevel: (at) => {
      const [j, t] = place(at.v);
      const [i, s] = place(at.u);
      const area = between(across, j * row + places, t);
      const [d0, d1] = [between(depths, j * row + i, t), between(depths, j * row + i + 1, t)];
      const depth = d0 + (d1 - d0) * s;
      at.u = area > 0 ? (between(across, j * row + i, t) + upTo(d0, d1, s)) / area : at.u;
      at.v =
        whole > 0 ? ((along[j] as number) + upTo(mean[j] as number, mean[j + 1] as number, t)) / whole : at.v;
      at.height = depth > 0 ? (at.height / depth) * whole : 0;
    },
    toSlope: (at) => {
      const volume = kept(at.v) * whole;
      const j = placeIn(along, 0, row, volume);
      const t = kept(
        alongLine(mean[j] as number, mean[j + 1] as number, (volume - (along[j] as number)) / step),
      );
      for (let i = 0; i < row; i += 1) now[i] = between(across, j * row + i, t);
      const area = kept(at.u) * (now[places] as number);
      const i = placeIn(now, 0, row, area);
      const [d0, d1] = [between(depths, j * row + i, t), between(depths, j * row + i + 1, t)];
      const s = kept(alongLine(d0, d1, (area - (now[i] as number)) / step));
      at.u = (i + s) * step;
      at.v = (j + t) * step;
      at.height = whole > 0 ? (at.height / whole) * (d0 + (d1 - d0) * s) : 0;
    },
  };
}

/** Heights by volume and how far the space reaches, read between its levels. */
interface Space {
  readonly levels: Levels;
  readonly heightOf: (z: number) => number;
  readonly zOf: (height: number) => number;
  /** left, width, near, length at z, written to `out` */
  readonly boxAt: (z: number, out: Float64Array) => void;
}

function spaceOf(space: Polyhedron): Space {
  const levels = levelsOf({ region: space, blocked: [], columns: [], up: UP });
  const { lowest, spacing } = levels;
  const all = levels.levels;
  const last = all.length - 1;
  const heights = Float64Array.from(all, (l) => l.height);
  const between = (z: number): readonly [number, number] => {
    const at = (z - lowest) / spacing - 0.5;
    const i = Math.min(last - 1, Math.max(0, Math.floor(at)));
    return [i, at - i];
  };
  return {
    levels,
    heightOf: (z) => {
      const [i, t] = between(z);
      const a = heights[i] as number;
      return Math.max(0, a + ((heights[i + 1] as number) - a) * t);
    },
    zOf: (height) => {
      const i = placeIn(heights, 0, heights.length, height);
      const [a, b] = [heights[i] as number, heights[i + 1] as number];
      return lowest + (i + 0.5 + (height - a) / Math.max(1e-12, b - a)) * spacing;
    },
    boxAt: (z, out) => {
      const [i, t] = between(z);
      const [{ box: a }, { box: b }] = [all[i] as Level, all[i + 1] as Level];
      out[0] = a.x0 + (b.x0 - a.x0) * t;
      out[1] = wide(a) + (wide(b) - wide(a)) * t;
      out[2] = a.y0 + (b.y0 - a.y0) * t;
      out[3] = long(a) + (long(b) - long(a)) * t;
    },
  };
}

/** The tilted surface by volume over each place, as parts of its level. */
function depthsIn({ heightOf, zOf, boxAt, levels }: Space, up: Vec3, offset: number): Float64Array {
  const row = PLACES + 1;
  const depths = new Float64Array(row * row);
  const box = new Float64Array(4);
  const top = levels.lowest + levels.spacing * levels.levels.length;
  for (let j = 0; j < row; j += 1)
    for (let i = 0; i < row; i += 1) {
      let z = zOf(heightOf(top) / 2);
      for (let k = 0; k < 12; k += 1) {
        boxAt(z, box);
        const [x0 = 0, w = 0, y0 = 0, l = 0] = box;
        const next = (offset - up[0] * (x0 + (w * i) / PLACES) - up[1] * (y0 + (l * j) / PLACES)) / up[2];
        const held = Math.min(top, Math.max(levels.lowest, next));
        const moved = Math.abs(held - z);
        z = held;
        if (moved < 1e-10) break;
      }
      depths[j * row + i] = heightOf(z);
    }
  return depths;
}

/** Places of a sloping block told as they would lie level, mm, written over. */
export function slopeToLevel({ up, offset, space }: Slope): (place: [number, number, number]) => void {
  const open = spaceOf(space);
  const { toLevel } = levellingOf(depthsIn(open, up, offset));
  const box = new Float64Array(4);
  const share: Share = { u: 0, v: 0, height: 0 };
  return (place) => {
    const [x, y, z] = place;
    open.boxAt(z, box);
    share.u = (x - (box[0] as number)) / (box[1] as number);
    share.v = (y - (box[2] as number)) / (box[3] as number);
    share.height = open.heightOf(z);
    toLevel(share);
    const level = open.zOf(share.height);
    open.boxAt(level, box);
    place[0] = (box[0] as number) + (box[1] as number) * share.u;
    place[1] = (box[2] as number) + (box[3] as number) * share.v;
    place[2] = level;
  };
}

const STILL: Vec3 = [0, 0, 0];

/** What reads a sloping block's faces: each place is brought to where it would lie level, and read there. */
export function tiltedReader({ slope }: TiltedSpec, read: RowReader): RowReader {
  const level = slopeToLevel(slope);
  const one = new Uint16Array(1);
  const place: [number, number, number] = [0, 0, 0];
  return (from, step, count, out, to, add) => {
    for (let n = 0; n < count; n += 1) {
      place[0] = from[0] + step[0] * n;
      place[1] = from[1] + step[1] * n;
      place[2] = from[2] + step[2] * n;
      level(place);
      read(place, STILL, 1, one, 0, add);
      out[to + n] = one[0] as number;
    }
  };
}

/** What was open, up to a height. */
export const spaceUpTo = (space: Polyhedron, z: number): Polyhedron =>
  clip(space, { normal: UP, offset: z }).below;
