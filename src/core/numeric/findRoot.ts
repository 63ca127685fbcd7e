import { NotConverged } from './notConverged.ts';

/**
 * Steps; the bracket at least halves in every second one, so a double's 2100 binades are never all needed.
 */
const MOST_STEPS = 200;

/**
 * Root of a rising function on [low, high] with f(low) <= 0 <= f(high): regula falsi with the Illinois step
 * (Dowell & Jarratt, "A modified regula falsi method for computing the root of an equation", BIT 1971, from
 * memory), stopping when |f| <= tolerance or the bracket cannot shrink. Where f is dear, its values at the
 * ends can be handed in. Throws NotConverged when the ends do not hold a root between them, or when the steps
 * run out first.
 */
export function findRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
  fLow: number = f(low),
  fHigh: number = f(high),
): number {
  let a = low;
  let b = high;
  let fa = fLow;
  let fb = fHigh;
  if (Math.abs(fa) <= tolerance) return a;
  if (Math.abs(fb) <= tolerance) return b;
  if (fa > 0 || fb < 0) throw new NotConverged('findRoot, whose ends hold no root,', a, fa > 0 ? fa : fb);
  let x = a;
  let fx = fa;
  for (let i = 0; i < MOST_STEPS; i += 1) {
    const secant = (a * fb - b * fa) / (fb - fa);
    x = secant > a && secant < b ? secant : (a + b) / 2;
    fx = f(x);
    if (Math.abs(fx) <= tolerance || x === a || x === b) return x;
    if (fx < 0) {
      a = x;
      fa = fx;
      fb /= 2;
    } else {
      b = x;
      fb = fx;
      fa /= 2;
    }
  }
  throw new NotConverged('findRoot', x, fx);
}
