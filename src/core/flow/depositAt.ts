import type { Vec3 } from '../geometry/vec.ts';
import { before } from './field.ts';
import { long, valueAt, wide } from './box.ts';
import type { Level, Levels } from './levels.ts';
import { isIn, reachOf } from './outline.ts';
import type { Drawn, From, Prepared, Run } from './stages.ts';
import { shareAt, valueOfShare, type Shares } from './shares.ts';

/** A place on its way back, in the reference rectangle, mm. */
interface Place {
  x: number;
  y: number;
}

/** Which deposit a place of a level is in, or -1, and then the place is where it was before. */
type Reader = (place: Place, level: number) => number;

/** The first pour, newest first, that a place with `beyond` of the area outside it lies in; `count` where it is in none. */
function within(table: Float64Array, start: number, count: number, beyond: number): number {
  let low = 0;
  let high = count;
  while (low < high) {
    const mid = (low + high) >> 1;
    const left = table[start + mid] as number;
    if (beyond > left || left <= 0) high = mid;
    else low = mid + 1;
  }
  return low;
}

const valueOf = (areas: Shares | undefined, part: number): number =>
  areas ? valueOfShare(areas, part) : part;

/** A place along an axis, as the part of a level's area before it, and back. */
interface Axis {
  readonly read: (place: Place, level: number) => number;
  readonly put: (place: Place, level: number, part: number) => void;
}

function axisOf(
  { box }: Levels,
  axis: 0 | 1,
  areas: readonly (Shares | undefined)[],
  was: Uint16Array,
): Axis {
  const start = axis === 0 ? box.x0 : box.y0;
  const size = axis === 0 ? wide(box) : long(box);
  return {
    read: (place, level) => {
      const value = ((axis === 0 ? place.x : place.y) - start) / size;
      const own = areas[level];
      return own ? shareAt(own, value) : value;
    },
    put: (place, level, part) => {
      const at = start + valueOf(areas[was[level] as number], part) * size;
      if (axis === 0) place.x = at;
      else place.y = at;
    },
  };
}

/** A line whose place among the area changes from level to level: pour by pour. */
function steppedReader({ deposits, beyond: table }: Run, at: Float64Array, axis: Axis): Reader {
  const count = deposits.length;
  return (place, level) => {
    const start = level * count;
    let m = axis.read(place, level);
    let left = 1;
    for (let k = 0; k < count; k += 1) {
      const c = at[start + k] as number;
      const side = m < c ? c : 1 - c;
      const beyond = side > 0 ? 1 - Math.abs(m - c) / side : 1;
      const now = table[start + k] as number;
      const kept = left > 0 ? now / left : 0;
      if (beyond > kept || kept <= 0) return deposits[k] as number;
      const back = (1 - beyond / kept) * side;
      m = m < c ? c - back : c + back;
      left = now;
    }
    axis.put(place, level, m);
    return -1;
  };
}

function lineReader(levels: Levels, run: Run, from: Extract<From, { kind: 'line' }>): Reader {
  const axis = axisOf(levels, from.axis, from.areas, from.was);
  if (!from.steady) return steppedReader(run, from.at, axis);
  const { deposits, beyond: table } = run;
  const count = deposits.length;
  return (place, level) => {
    const start = level * count;
    const c = from.at[start] as number;
    const part = axis.read(place, level);
    const side = part < c ? c : 1 - c;
    const beyond = side > 0 ? 1 - Math.abs(part - c) / side : 1;
    const k = within(table, start, count, beyond);
    if (k < count) return deposits[k] as number;
    const back = (1 - beyond / (table[start + count - 1] as number)) * side;
    axis.put(place, level, part < c ? c - back : c + back);
    return -1;
  };
}

/** Down both walls at once: it is told from the walls, and the middle is furthest from them. */
function wallsReader(levels: Levels, run: Run, from: Extract<From, { kind: 'walls' }>): Reader {
  const axis = axisOf(levels, from.axis, from.areas, from.was);
  const { deposits, beyond: table } = run;
  const { low } = from;
  const count = deposits.length;
  return (place, level) => {
    const part = axis.read(place, level);
    const outer = 1 - (part < low ? part / low : (1 - part) / (1 - low));
    const k = within(table, level * count, count, outer);
    if (k < count) return deposits[k] as number;
    const inner = 1 - outer / (table[level * count + count - 1] as number);
    axis.put(place, level, part < low ? low * inner : 1 - (1 - low) * inner);
    return -1;
  };
}

function fieldReader({ deposits, beyond: table }: Run, from: Extract<From, { kind: 'field' }>): Reader {
  const { field, areas } = from;
  const count = deposits.length;
  return (place, level) => {
    const { x, y } = place;
    const beyond = shareAt(areas[level] as Shares, valueAt(field.beyond, x, y));
    const k = within(table, level * count, count, beyond);
    if (k < count) return deposits[k] as number;
    [place.x, place.y] = before(field, x, y, table[level * count + count - 1] as number);
    return -1;
  };
}

function holeReader({ box, levels }: Levels, run: Run, from: Extract<From, { kind: 'hole' }>): Reader {
  const { deposits, beyond: table } = run;
  const count = deposits.length;
  const [mx, my] = from.middle;
  return (place, level) => {
    const own = (levels[level] as Level).box;
    const x = own.x0 + ((place.x - box.x0) / (box.x1 - box.x0)) * (own.x1 - own.x0);
    const y = own.y0 + ((place.y - box.y0) / (box.y1 - box.y0)) * (own.y1 - own.y0);
    if (!isIn(from.edges, x, y)) return -1;
    const reach = reachOf(from.edges, mx, my, x, y);
    const k = within(table, level * count, count, 1 - reach * reach);
    return k < count ? (deposits[k] as number) : -1;
  };
}

const drawnReader =
  ({ warp, part }: Drawn): Reader =>
  (place, level) => {
    const by = part[level] as number;
    if (by <= 0) return -1;
    const { x, y } = place;
    place.x = x + (valueAt(warp.x, x, y) - x) * by;
    place.y = y + (valueAt(warp.y, x, y) - y) * by;
    return -1;
  };

function readerOf({ levels }: Prepared, stage: Drawn | Run): Reader {
  if (stage.kind === 'drawn') return drawnReader(stage);
  const { from } = stage;
  switch (from.kind) {
    case 'everywhere': {
      const count = stage.deposits.length;
      return (_, level) => stage.deposits[within(stage.beyond, level * count, count, 1)] ?? -1;
    }
    case 'line':
      return lineReader(levels, stage, from);
    case 'walls':
      return wallsReader(levels, stage, from);
    case 'field':
      return fieldReader(stage, from);
    case 'hole':
      return holeReader(levels, stage, from);
  }
}

/** Reads a row of places: `add` + the number of the deposit at each is written to `out` from `to` on. */
export type RowReader = (
  /** of the first place, mould frame, mm */
  from: Vec3,
  /** from one place to the next */
  step: Vec3,
  count: number,
  out: Uint16Array,
  to: number,
  add: number,
) => void;

/** What reads a block's faces, row by row. Places outside the block are read as at its edge. */
export function rowReader(prepared: Prepared): RowReader {
  const { axes, lowest, spacing, levels, box } = prepared.levels;
  const readers = prepared.stages.map((s) => readerOf(prepared, s));
  const last = levels.length - 1;
  const [right, away, up] = axes;
  const across = wide(box);
  const deep = long(box);
  const place: Place = { x: 0, y: 0 };
  const along3 = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  return (from, step, count, out, to, add) => {
    let [x, y, z] = [along3(right, from), along3(away, from), along3(up, from) - lowest];
    const [dx, dy, dz] = [along3(right, step), along3(away, step), along3(up, step)];
    for (let n = 0; n < count; n += 1) {
      let level = Math.floor(z / spacing);
      if (level < 0) level = 0;
      else if (level > last) level = last;
      const own = (levels[level] as Level).box;
      place.x = box.x0 + ((x - own.x0) / (own.x1 - own.x0)) * across;
      place.y = box.y0 + ((y - own.y0) / (own.y1 - own.y0)) * deep;
      let deposit = -1;
      for (let s = 0; s < readers.length && deposit < 0; s += 1)
        deposit = (readers[s] as Reader)(place, level);
      out[to + n] = deposit < 0 ? 0 : deposit + add;
      x += dx;
      y += dy;
      z += dz;
    }
  };
}
