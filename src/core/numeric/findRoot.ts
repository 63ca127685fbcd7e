/**
 * Root of a rising function on [low, high] with f(low) <= 0 <= f(high): regula falsi with the Illinois
 * step (Dowell & Jarratt, "A modified regula falsi method for computing the root of an equation", BIT
 * 1971, from memory), stopping when |f| <= tolerance or the bracket cannot shrink. Where f is dear, its values at the
 * ends can be handed in.
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
  let x = a;
  for (let i = 0; i < 200; i += 1) {
    const secant = (a * fb - b * fa) / (fb - fa);
    x = secant > a && secant < b ? secant : (a + b) / 2;
    const fx = f(x);
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
  return x;
}
