import type { Spot } from '../flow/spec.ts';
import type { Wire } from '../plan/stepSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import { wireWay } from './wirePath.ts';

/** Rises and falls of less than this are the smoothing's, not the maker's, mm. */
const WAVER = 1;

/** What there is to say of a wire's way through batter so deep. */
export interface WireTold {
  /** in the batter, in order, mm across and above the floor */
  readonly within: readonly Spot[];
  /** where it comes in and goes out, right of (or beyond) the middle */
  readonly inAtMm: Millimetres;
  readonly outAtMm: Millimetres;
  readonly lowestMm: Millimetres;
  /** the highest that it comes between going in and going out; the lowest where it only goes down and up */
  readonly highestMm: Millimetres;
  /** how often it turns downward again between the two */
  readonly lifts: number;
}

/** Going on from an end, the number of the first low point. */
function firstLow(heights: readonly number[]): number {
  let low = 0;
  for (const [i, h] of heights.entries()) {
    if (h < (heights[low] as number)) low = i;
    else if (h > (heights[low] as number) + WAVER) break;
  }
  return low;
}

/** How often a height goes up and comes down again. */
function liftsOf(heights: readonly number[]): number {
  let [lifts, extreme, up] = [0, heights[0] ?? 0, false];
  for (const h of heights) {
    if (up ? h > extreme : h < extreme) extreme = h;
    else if (Math.abs(h - extreme) > WAVER) {
      if (up) lifts += 1;
      [up, extreme] = [!up, h];
    }
  }
  return lifts;
}

/** Undefined for a wire that never comes into the batter. */
export function toldOf(wire: Pick<Wire, 'points'>, deepMm: Millimetres): WireTold | undefined {
  const way = wireWay(wire.points);
  const first = way.findIndex((p) => p[1] <= deepMm);
  const last = way.findLastIndex((p) => p[1] <= deepMm);
  if (first < 0) return undefined;
  const within = way.slice(first, last + 1);
  const heights = within.map((p) => p[1]);
  const [from, to] = [firstLow(heights), heights.length - 1 - firstLow(heights.toReversed())];
  const between = from < to ? heights.slice(from, to + 1) : [Math.min(...heights)];
  return {
    within,
    inAtMm: (within[0] as Spot)[0],
    outAtMm: (within.at(-1) as Spot)[0],
    lowestMm: Math.min(...heights),
    highestMm: Math.max(...between),
    lifts: liftsOf(between),
  };
}
