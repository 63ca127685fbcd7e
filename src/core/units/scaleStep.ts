import type { Grams } from './quantity.ts';

/** Decimals needed to write a multiple of `step`: 1 -> 0, 0.1 -> 1, 0.5 -> 1, 0.01 -> 2. */
export const decimalsOf = (step: number): number => {
  let decimals = 0;
  while (decimals < 6 && Math.abs(step * 10 ** decimals - Math.round(step * 10 ** decimals)) > 1e-9)
    decimals += 1;
  return decimals;
};

/** `massG` to the nearest multiple of the scale's step, free of binary dust (0.1 + 0.2 gives 0.3). */
export const toStep = (massG: Grams, stepG: Grams): Grams =>
  Number((Math.round(massG / stepG) * stepG).toFixed(decimalsOf(stepG)));

/**
 * Round parts to the scale's step so that they still add up to the rounded whole (largest remainder,
 * Hamilton's method). Each part moves by less than one step. `parts` in g, none negative. `wholeG` is what
 * they are to add up to, within a step of their own sum; by default that sum.
 */
export function roundParts(
  parts: readonly Grams[],
  stepG: Grams,
  wholeG: Grams = parts.reduce((a, b) => a + b, 0),
): Grams[] {
  const whole = Math.round(wholeG / stepG);
  const floors = parts.map((p) => Math.floor(p / stepG + 1e-9));
  const short = whole - floors.reduce((a, b) => a + b, 0);
  const byRemainder = parts
    .map((p, i) => ({ i, remainder: p / stepG - (floors[i] ?? 0) }))
    .sort((a, b) => b.remainder - a.remainder || a.i - b.i);
  const up = new Set(byRemainder.slice(0, Math.max(0, short)).map((r) => r.i));
  const decimals = decimalsOf(stepG);
  return floors.map((f, i) => Number(((f + (up.has(i) ? 1 : 0)) * stepG).toFixed(decimals)));
}

/** Down to the scale's step: for lye, where rounding up would spend superfat. */
export const downToStep = (massG: Grams, stepG: Grams): Grams =>
  Number((Math.floor(massG / stepG + 1e-9) * stepG).toFixed(decimalsOf(stepG)));

/** Sum of figures already at a step, free of binary dust. */
export const sumAtStep = (masses: readonly Grams[], stepG: Grams): Grams =>
  Number(masses.reduce((a, b) => a + b, 0).toFixed(decimalsOf(stepG)));
