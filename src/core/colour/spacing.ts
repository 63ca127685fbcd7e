import { NotConverged } from '../numeric/notConverged.ts';
import { findRoot } from '../numeric/findRoot.ts';
import { difference } from './difference.ts';
import { evenNewton } from './evenNewton.ts';
import type { Lab } from './lab.ts';
import type { Ramp } from './ramp.ts';

/** A step found is right to this much of a colour difference: a ten-thousandth of what can be seen. */
const TOLERANCE = 1e-4;

/** Doses even: t = 0, 1/n ... 1. */
export const equalDose = (layers: number): number[] =>
  Array.from({ length: layers }, (_, i) => i / (layers - 1));

/** Each paler layer has half the dose of the one before it, the palest none: 1, 1/2, 1/4 ... 0. */
export const halving = (layers: number): number[] =>
  Array.from({ length: layers }, (_, i) => (i === 0 ? 0 : 0.5 ** (layers - 1 - i)));

/**
 * A root between two places; where the way turns back on itself there may be none: then the end that is
 * nearer.
 */
function stepRoot(
  miss: (s: number) => number,
  low: number,
  high: number,
  missLow: number,
  missHigh: number,
): number {
  if (missLow > 0 || missHigh < 0) return Math.abs(missLow) < Math.abs(missHigh) ? low : high;
  return findRoot(miss, low, high, TOLERANCE, missLow, missHigh);
}

/**
 * The place on the seen way that differs by `wanted` from the colour at `seen`; `rate` is the last step's way
 * per difference.
 */
function stepFrom(ramp: Ramp, from: Lab, seen: number, wanted: number, rate: number): number {
  const miss = (s: number): number => difference(from, ramp.labAt(ramp.at(s))) - wanted;
  // a step is much like the one before it: tried at its rate, then a little to either side
  const first = Math.min(1, seen + wanted * rate);
  const missed = miss(first);
  if (Math.abs(missed) <= TOLERANCE) return first;
  if (missed > 0) {
    const before = Math.max(seen, first - 2 * missed * rate);
    const there = miss(before);
    return there <= 0
      ? stepRoot(miss, before, first, there, missed)
      : stepRoot(miss, seen, before, -wanted, there);
  }
  const beyond = Math.min(1, first - 2 * missed * rate);
  const there = miss(beyond);
  return there >= 0
    ? stepRoot(miss, first, beyond, missed, there)
    : stepRoot(miss, beyond, 1, there, miss(1));
}

/**
 * March along the ramp from its start with steps of `size` times each weight (CIEDE2000). Gives the steps' t
 * and what is left to the end beyond the last weight: negative when the steps were too large.
 */
function march(ramp: Ramp, weights: readonly number[], size: number): { ts: number[]; left: number } {
  const end = ramp.labAt(1);
  const ts = [0];
  let seen = 0;
  let here = ramp.labAt(0);
  let rate = 1 / ramp.length;
  for (const [i, weight] of weights.slice(0, -1).entries()) {
    const wanted = size * weight;
    const from = here;
    if (difference(from, end) <= wanted) {
      const due = size * weights.slice(i).reduce((a, b) => a + b, 0);
      return { ts, left: difference(from, end) - due };
    }
    if (wanted > 0) {
      const next = stepFrom(ramp, from, seen, wanted, rate);
      rate = (next - seen) / wanted;
      seen = next;
      here = ramp.labAt(ramp.at(seen));
    }
    ts.push(ramp.at(seen));
  }
  return { ts, left: difference(here, end) - size * (weights.at(-1) ?? 0) };
}

/** The step's size, or as near as it came: how even the steps are then is told from the steps themselves. */
function solved(over: (size: number) => number, low: number, high: number): number {
  try {
    return findRoot(over, low, high, TOLERANCE);
  } catch (error) {
    if (error instanceof NotConverged) return error.x;
    throw error;
  }
}

/** The places solved together; a step of no weight stands where the one before it ends. */
function solvedTogether(ramp: Ramp, weights: readonly number[]): number[] | undefined {
  const places = evenNewton(
    ramp,
    weights.filter((w) => w > 0),
    TOLERANCE,
  );
  let k = 0;
  return places && [0, ...weights.map((w) => ramp.at(places[w > 0 ? (k += 1) : k] as number))];
}

/**
 * Places on the ramp, 0 to 1, whose neighbours differ in the proportion of `weights` (one fewer than the
 * layers; all alike: even to the eye). CIEDE2000 does not add up along a way, so the size of the step itself
 * is solved with the places. Where that does not come out: march with a trial size, find the one that lands
 * on the other end.
 */
export function weightedSteps(ramp: Ramp, weights: readonly number[]): number[] {
  const total = weights.reduce((a, b) => a + b, 0);
  if (total <= 0 || difference(ramp.labAt(0), ramp.labAt(1)) === 0) return equalDose(weights.length + 1);
  const together = solvedTogether(ramp, weights);
  if (together) return together;
  const over = (size: number): number => -march(ramp, weights, size).left;
  // steps as chords of a way: their sum falls a little short of its length
  let high = (1.01 * ramp.length) / total;
  while (over(high) < 0) high *= 1.3;
  let low = high * 0.75;
  while (low > 1e-6 && over(low) > 0) low /= 2;
  const size = solved(over, low, high);
  const { ts } = march(ramp, weights, size);
  while (ts.length < weights.length) ts.push(1);
  const marched = [...ts, 1];
  if (unevenness(ramp, weights, marched) <= EVEN) return marched;
  const moved = relaxed(ramp, weights, marched);
  return unevenness(ramp, weights, moved) < unevenness(ramp, weights, marched) ? moved : marched;
}

/** Steps whose sizes, each by its weight, differ by no more than this part are as wanted. */
const EVEN = 1.01;

/** Sweeps of the relaxation, and halvings for each place in a sweep. */
const SWEEPS = 25;
const HALVINGS = 20;

/** The largest step over the smallest, each by its weight. */
function unevenness(ramp: Ramp, weights: readonly number[], ts: readonly number[]): number {
  const labs = ts.map(ramp.labAt);
  const sizes = weights.flatMap((w, i) =>
    w > 0 ? [difference(labs[i] as Lab, labs[i + 1] as Lab) / w] : [],
  );
  return Math.max(...sizes) / Math.max(1e-12, Math.min(...sizes));
}

/**
 * Each place moved between its neighbours to where the two steps beside it are in proportion, over and over.
 * Marching misses a grading where CIEDE2000 jumps, as two hues come to be opposite: of the places that differ
 * by a size it meets the first.
 */
function relaxed(ramp: Ramp, weights: readonly number[], start: readonly number[]): number[] {
  const ts = [...start];
  for (let sweep = 0; sweep < SWEEPS && unevenness(ramp, weights, ts) > EVEN; sweep += 1)
    for (let i = 1; i < ts.length - 1; i += 1) {
      const [before, after] = [weights[i - 1] ?? 0, weights[i] ?? 0];
      if (before + after <= 0) continue;
      const from = ramp.labAt(ts[i - 1] ?? 0);
      const to = ramp.labAt(ts[i + 1] ?? 1);
      let low = ts[i - 1] ?? 0;
      let high = ts[i + 1] ?? 1;
      for (let k = 0; k < HALVINGS; k += 1) {
        const middle = (low + high) / 2;
        const lab = ramp.labAt(middle);
        if (difference(from, lab) * after < difference(lab, to) * before) low = middle;
        else high = middle;
      }
      ts[i] = (low + high) / 2;
    }
  return ts;
}

export const evenSteps = (ramp: Ramp, layers: number): number[] =>
  weightedSteps(ramp, new Array<number>(layers - 1).fill(1));

/**
 * A curve through (0, 0), three inner heights at a quarter, half and three quarters, and (1, 1), rising
 * throughout: cubic pieces whose slope at a height is the harmonic mean of the rises on both sides of it
 * (Fritsch & Butland, "A method for constructing local monotone piecewise cubic interpolants", SIAM Journal
 * on Scientific and Statistical Computing 1984, for equal distances; from memory). Gives the seen way (0..1)
 * at each place among the layers (0..1).
 */
export function risingCurve(inner: readonly [number, number, number]): (x: number) => number {
  const ys = [0, ...inner, 1];
  const h = 0.25;
  const rise = ys.slice(1).map((y, i) => (y - (ys[i] as number)) / h);
  const slopes = ys.map((_, i) => {
    const before = rise[i - 1];
    const after = rise[i];
    if (before === undefined || after === undefined) return before ?? after ?? 0;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
  return (x) => {
    const i = Math.min(3, Math.max(0, Math.floor(x / h)));
    const u = x / h - i;
    const y0 = ys[i] as number;
    const y1 = ys[i + 1] as number;
    const m0 = (slopes[i] as number) * h;
    const m1 = (slopes[i + 1] as number) * h;
    return (
      y0 * (1 + 2 * u) * (1 - u) ** 2 +
      m0 * u * (1 - u) ** 2 +
      y1 * u * u * (3 - 2 * u) +
      m1 * u * u * (u - 1)
    );
  };
}

/** Weights of the steps between `layers` layers placed along a curve. */
export function curveWeights(inner: readonly [number, number, number], layers: number): number[] {
  const curve = risingCurve(inner);
  return Array.from({ length: layers - 1 }, (_, i) =>
    Math.max(0, curve((i + 1) / (layers - 1)) - curve(i / (layers - 1))),
  );
}
