import type { LevelPlace } from './levelPlace.ts';
import { long, wide } from './box.ts';
import type { Level, Levels } from './levels.ts';
import { isInStar, starReach } from './outline.ts';
import { shareAt, valueOfShare, type Shares } from './shares.ts';
import type { From, Run } from './stages.ts';

/** Which deposit a place of a level is in, or -1, and then the place is where it was before. */
export type Reader = (place: LevelPlace, level: number) => number;

/**
 * The first pour, newest first, that a place with `beyond` of the area outside it lies in; `count` where it
 * is in none. `guess` is looked at first: next to a pixel lies one of the same pour, mostly.
 */
export function within(
  table: Float64Array,
  start: number,
  count: number,
  beyond: number,
  guess: number,
): number {
  // what is left beyond falls from pour to pour
  let low = 0;
  let high = count;
  if (guess < count) {
    let left = table[start + guess] as number;
    if (beyond > left || left <= 0) {
      // in this one or a newer: the next ones are looked at first
      high = guess;
      for (let near = 0; near < NEIGHBOURS && high > 0; near += 1) {
        left = table[start + high - 1] as number;
        if (beyond <= left && left > 0) return high;
        high -= 1;
      }
    } else {
      low = guess + 1;
      for (let near = 0; near < NEIGHBOURS && low < count; near += 1) {
        left = table[start + low] as number;
        if (beyond > left || left <= 0) return low;
        low += 1;
      }
    }
  }
  while (low < high) {
    const mid = (low + high) >> 1;
    const left = table[start + mid] as number;
    if (beyond > left || left <= 0) high = mid;
    else low = mid + 1;
  }
  return low;
}

/** So many pours next to the last one are looked at before the rest are. */
const NEIGHBOURS = 2;

const valueOf = (areas: Shares | undefined, part: number): number =>
  areas ? valueOfShare(areas, part) : part;

/** A place along an axis, as the part of a level's area before it, and back. */
interface Axis {
  readonly read: (place: LevelPlace, level: number) => number;
  readonly put: (place: LevelPlace, level: number, part: number) => void;
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

export function lineReader(levels: Levels, run: Run, from: Extract<From, { kind: 'line' }>): Reader {
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
    const k = within(table, start, count, beyond, 0);
    if (k < count) return deposits[k] as number;
    const back = (1 - beyond / (table[start + count - 1] as number)) * side;
    axis.put(place, level, part < c ? c - back : c + back);
    return -1;
  };
}

/** Down both walls at once: it is told from the walls, and the middle is furthest from them. */
export function wallsReader(levels: Levels, run: Run, from: Extract<From, { kind: 'walls' }>): Reader {
  const axis = axisOf(levels, from.axis, from.areas, from.was);
  const { deposits, beyond: table } = run;
  const { low } = from;
  const count = deposits.length;
  return (place, level) => {
    const part = axis.read(place, level);
    const outer = 1 - (part < low ? part / low : (1 - part) / (1 - low));
    const k = within(table, level * count, count, outer, 0);
    if (k < count) return deposits[k] as number;
    const inner = 1 - outer / (table[level * count + count - 1] as number);
    axis.put(place, level, part < low ? low * inner : 1 - (1 - low) * inner);
    return -1;
  };
}

export function holeReader({ box, levels }: Levels, run: Run, from: Extract<From, { kind: 'hole' }>): Reader {
  const { deposits, beyond: table } = run;
  const count = deposits.length;
  const { column } = from;
  return (place, level) => {
    const own = (levels[level] as Level).box;
    const x = own.x0 + ((place.x - box.x0) / (box.x1 - box.x0)) * (own.x1 - own.x0);
    const y = own.y0 + ((place.y - box.y0) / (box.y1 - box.y0)) * (own.y1 - own.y0);
    if (!isInStar(column, x, y)) return -1;
    const reach = starReach(column, x, y);
    const k = within(table, level * count, count, 1 - reach * reach, 0);
    return k < count ? (deposits[k] as number) : -1;
  };
}
