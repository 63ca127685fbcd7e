import { corners, type Polyhedron } from './polyhedron.ts';
import { sectionArea } from './sectionArea.ts';
import { dot, type Vec3 } from './vec.ts';
import { volumeOf, volumeUnder } from './volume.ts';

/**
 * The volume of a convex solid below the plane `normal . x = d`, as an exact function of d.
 *
 * Between two neighbouring corner heights the section area is a quadratic in d, so three slices inside each
 * interval give the area exactly and the volume as a cubic, to be evaluated and inverted. A solid of few
 * corner heights has all its cubics at once. Of one with many (a round mould of 120 sides, tilted) what lies
 * below a plane is measured by itself (see volumeUnder), and only the cubic that is to be inverted is made,
 * so that it costs little more than a box.
 */
export interface FillProfile {
  readonly lowest: number;
  readonly highest: number;
  /** mm^3 */
  readonly total: number;
  /** mm^3 below d; 0 under the lowest corner and `total` over the highest */
  readonly volumeBelow: (d: number) => number;
  /** the d with that volume below it, mm; clamped to [lowest, highest] outside 0..total */
  readonly levelOf: (volume: number) => number;
}

interface Slab {
  readonly start: number;
  readonly thickness: number;
  /** mm^3 below `start` */
  readonly below: number;
  /** volume inside the slab up to t (0..1) is a t + b t^2 + c t^3, mm^3 */
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

const inside = (slab: Slab, t: number): number => t * (slab.a + t * (slab.b + t * slab.c));

/** Corner heights closer than this (relative to the span) are one height: rounding of earlier clips. */
const SAME_HEIGHT = 1e-12;

function distinctHeights(solid: Polyhedron, normal: Vec3): number[] {
  const heights = corners(solid)
    .map((p) => dot(normal, p))
    .sort((p, q) => p - q);
  const span = (heights.at(-1) ?? 0) - (heights[0] ?? 0);
  const size = Math.max(span, Math.abs(heights[0] ?? 0), Math.abs(heights.at(-1) ?? 0));
  return heights.filter((h, i) => i === 0 || h - (heights[i - 1] as number) > SAME_HEIGHT * size);
}

/** The area's quadratic through its values at t = 1/6, 1/2, 5/6, integrated over the slab. */
function slabBetween(solid: Polyhedron, normal: Vec3, start: number, end: number, below: number): Slab {
  const h = end - start;
  const p = sectionArea(solid, normal, start + h / 6);
  const q = sectionArea(solid, normal, start + h / 2);
  const r = sectionArea(solid, normal, start + (5 * h) / 6);
  // with s = (t - 1/2) / (1/3): area = q + (r - p)/2 s + (p + r - 2q)/2 s^2
  const slope = (3 * (r - p)) / 2;
  const bend = (9 * (p + r - 2 * q)) / 2;
  return {
    start,
    thickness: h,
    below,
    a: h * (q - slope / 2 + bend / 4),
    b: (h * (slope - bend)) / 2,
    c: (h * bend) / 3,
  };
}

/** Safeguarded Newton on the slab's cubic, which rises from 0 at t = 0 to `full` at t = 1. */
function invert(slab: Slab, volume: number): number {
  let low = 0;
  let high = 1;
  let t = volume / inside(slab, 1);
  for (let i = 0; i < 60; i += 1) {
    const error = inside(slab, t) - volume;
    if (error === 0) break;
    if (error > 0) high = t;
    else low = t;
    const slope = slab.a + t * (2 * slab.b + t * 3 * slab.c);
    const newton = t - error / slope;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (next === t) break;
    t = next;
  }
  return t;
}

/** A solid with no more corner heights than this has all its cubics at once. */
const FEW = 12;

/** All cubics, for a solid of few corner heights. */
function inSlabs(solid: Polyhedron, normal: Vec3, heights: readonly number[]): FillProfile {
  const slabs: Slab[] = [];
  let total = 0;
  for (let i = 1; i < heights.length; i += 1) {
    const slab = slabBetween(solid, normal, heights[i - 1] as number, heights[i] as number, total);
    slabs.push(slab);
    total += inside(slab, 1);
  }
  const lowest = heights[0] ?? 0;
  const highest = heights.at(-1) ?? 0;
  return {
    lowest,
    highest,
    total,
    volumeBelow: (d) => {
      if (d >= highest) return total;
      const slab = slabs.findLast((s) => s.start <= d);
      return slab ? slab.below + inside(slab, (d - slab.start) / slab.thickness) : 0;
    },
    levelOf: (volume) => {
      if (volume <= 0) return lowest;
      if (volume >= total) return highest;
      const slab = slabs.findLast((s) => s.below <= volume);
      return slab ? slab.start + slab.thickness * invert(slab, volume - slab.below) : lowest;
    },
  };
}

/** Volumes measured as they are asked for, for a solid of many corner heights. */
function byMeasure(solid: Polyhedron, normal: Vec3, heights: readonly number[]): FillProfile {
  const total = volumeOf(solid);
  const lowest = heights[0] ?? 0;
  const highest = heights.at(-1) ?? 0;
  const under = new Map<number, number>();
  const underHeight = (i: number): number => {
    if (i === 0) return 0;
    const known = under.get(i) ?? volumeUnder(solid, normal, heights[i] as number);
    under.set(i, known);
    return known;
  };
  const slabs = new Map<number, Slab>();
  /** the slab that a volume's plane lies in, by halving */
  const slabOf = (volume: number): Slab => {
    let low = 0;
    let high = heights.length - 1;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (underHeight(middle) <= volume) low = middle;
      else high = middle;
    }
    const slab =
      slabs.get(low) ??
      slabBetween(solid, normal, heights[low] as number, heights[high] as number, underHeight(low));
    slabs.set(low, slab);
    return slab;
  };
  return {
    lowest,
    highest,
    total,
    volumeBelow: (d) => {
      if (d <= lowest) return 0;
      return d >= highest ? total : volumeUnder(solid, normal, d);
    },
    levelOf: (volume) => {
      if (volume <= 0) return lowest;
      if (volume >= total) return highest;
      const slab = slabOf(volume);
      return slab.start + slab.thickness * invert(slab, volume - slab.below);
    },
  };
}

export function fillProfile(solid: Polyhedron, normal: Vec3): FillProfile {
  const heights = distinctHeights(solid, normal);
  return heights.length <= FEW ? inSlabs(solid, normal, heights) : byMeasure(solid, normal, heights);
}
