import { long, wide, type Box } from './box.ts';
import { edgesOf, isIn, isInStar, type Star } from './outline.ts';
import type { Spot } from './spec.ts';

/**
 * A share of an area by a measure of its points that goes from 0 to 1: an increasing table, read and turned
 * round between its entries. They are as the squares of their numbers: what comes first lies in the last
 * thousandth, along the walls.
 */
export interface Shares {
  readonly table: Float64Array;
}

const ENTRIES = 512;

/**
 * Places that a level is looked at, each way: closer together towards the walls and corners, where what came
 * first lies.
 */
const LOOKS = 200;
const PLACES = Float64Array.from(
  { length: LOOKS },
  (_, i) => (1 - Math.cos((Math.PI * (i + 0.5)) / LOOKS)) / 2,
);
const WEIGHTS = Float64Array.from({ length: LOOKS }, (_, i) => Math.sin((Math.PI * (i + 0.5)) / LOOKS));

/**
 * For each value of `measure`, the part of a level where it is less. The level is its outline without the
 * columns; measures are of places in its box, as parts of it.
 */
export function sharesOf(
  box: Box,
  outline: readonly Spot[] | undefined,
  columns: readonly Star[],
  measure: (u: number, v: number) => number,
): Shares {
  const counts = new Float64Array(ENTRIES);
  const within = outline && edgesOf(outline);
  let all = 0;
  for (let j = 0; j < LOOKS; j += 1)
    for (let i = 0; i < LOOKS; i += 1) {
      const u = PLACES[i] as number;
      const v = PLACES[j] as number;
      const weight = (WEIGHTS[i] as number) * (WEIGHTS[j] as number);
      const [x, y] = [box.x0 + u * wide(box), box.y0 + v * long(box)];
      if (within && !isIn(within, x, y)) continue;
      if (columns.some((c) => isInStar(c, x, y))) continue;
      const at = Math.min(ENTRIES - 1, Math.max(0, Math.floor(Math.sqrt(measure(u, v)) * ENTRIES)));
      counts[at] = (counts[at] as number) + weight;
      all += weight;
    }
  const table = new Float64Array(ENTRIES + 1);
  for (let k = 0; k < ENTRIES; k += 1)
    table[k + 1] = (table[k] as number) + (counts[k] as number) / Math.max(Number.MIN_VALUE, all);
  return { table };
}

export function shareAt({ table }: Shares, value: number): number {
  let f = Math.sqrt(value) * ENTRIES;
  if (!(f > 0)) f = 0;
  else if (f > ENTRIES) f = ENTRIES;
  const k = f === ENTRIES ? ENTRIES - 1 : f | 0;
  const a = table[k] as number;
  return a + ((table[k + 1] as number) - a) * (f - k);
}

export function valueOfShare({ table }: Shares, share: number): number {
  let [low, high] = [0, ENTRIES];
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if ((table[mid] as number) <= share) low = mid;
    else high = mid;
  }
  const [a, b] = [table[low] as number, table[high] as number];
  return ((low + (b > a ? Math.min(1, Math.max(0, (share - a) / (b - a))) : 0)) / ENTRIES) ** 2;
}
