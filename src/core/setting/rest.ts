import type { Minutes, Stage } from '../units/quantity.ts';

/** Stages that ten times the yield stress makes: `yieldStress` goes with 10^(0.7 s). */
const PER_DECADE: Stage = 1 / 0.7;

/**
 * By how much batter that lies still is stiffer than it flows: its static yield stress grows in a straight
 * line with rest, tau(t) = tau (1 + t / tc) (N. Roussel, "A thixotropy model for fresh fluid concretes",
 * Cement and Concrete Research 36, 2006, from memory). Moved, it flows as it did, and rests anew. `restMin`:
 * since it was poured or last moved; `tcMin`: in which it doubles.
 */
export const stiffening = (restMin: Minutes, tcMin: Minutes): Stage =>
  restMin <= 0 ? 0 : PER_DECADE * Math.log10(1 + restMin / tcMin);

/** By how much that is less where it doubles more slowly: stages for a change of the logarithm of `tcMin`. */
export const stiffeningLess = (restMin: Minutes, tcMin: Minutes): Stage =>
  restMin <= 0 ? 0 : ((PER_DECADE / Math.LN10) * restMin) / (restMin + tcMin);

/**
 * ln u that solves a u + ln u = c, for a > 0: Newton's method from a side that it does not overshoot from, to
 * the last digit.
 */
function lnRoot(a: number, c: number): number {
  let y = c > 1 ? Math.min(c, Math.log(c / a)) : c;
  for (let i = 0; i < 40; i += 1) {
    const e = a * Math.exp(y);
    const step = (e + y - c) / (e + 1);
    y -= step;
    if (Math.abs(step) < 1e-14 * (1 + Math.abs(y))) break;
  }
  return y;
}

/**
 * How long batter lies until it is as stiff as wanted: `short` stages stiffer than at the beginning,
 * thickening by `perMinute` as well. In closed form but for Lambert's W: with v = 1 + t / tc, a v + ln v = c.
 */
export function restUntil(short: Stage, perMinute: number, tcMin: Minutes): Minutes {
  if (short <= 0) return 0;
  const k = PER_DECADE / Math.LN10;
  if (perMinute <= 0) return tcMin * Math.expm1(short / k);
  const a = (perMinute * tcMin) / k;
  return tcMin * Math.max(0, Math.expm1(lnRoot(a, a + short / k)));
}
