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
 * Round parts to the scale's step so that they add up to the rounded whole (largest remainder, Hamilton's
 * method). `parts` in g, none negative. `wholeG` is what they are to add up to, by default their own sum;
 * then each part moves by less than a step. A whole some steps off is made up one step a part, and no part
 * goes below zero.
 */
export function roundParts(
  parts: readonly Grams[],
  stepG: Grams,
  wholeG: Grams = parts.reduce((a, b) => a + b, 0),
): Grams[] {
  const steps = parts.map((p) => Math.floor(p / stepG + 1e-9));
  let short = Math.round(wholeG / stepG) - steps.reduce((a, b) => a + b, 0);
  const byRemainder = parts
    .map((p, i) => ({ i, remainder: p / stepG - (steps[i] ?? 0) }))
    .sort((a, b) => b.remainder - a.remainder || a.i - b.i)
    .map((r) => r.i);
  const order = short >= 0 ? byRemainder : byRemainder.toReversed();
  for (let turn = 0; short !== 0 && turn < 20; turn += 1)
    for (const i of order) {
      const now = steps[i] ?? 0;
      if (short === 0 || (short < 0 && now === 0)) continue;
      steps[i] = now + Math.sign(short);
      short -= Math.sign(short);
    }
  const decimals = decimalsOf(stepG);
  return steps.map((n) => Number((n * stepG).toFixed(decimals)));
}

/** Down to the scale's step: for lye, where rounding up would spend superfat. */
export const downToStep = (massG: Grams, stepG: Grams): Grams =>
  Number((Math.floor(massG / stepG + 1e-9) * stepG).toFixed(decimalsOf(stepG)));

/** Up to the scale's step: for what a jug must have enough of. */
export const upToStep = (massG: Grams, stepG: Grams): Grams =>
  Number((Math.ceil(massG / stepG - 1e-6) * stepG).toFixed(decimalsOf(stepG)));

/** Sum of figures already at a step, free of binary dust. */
export const sumAtStep = (masses: readonly Grams[], stepG: Grams): Grams =>
  Number(masses.reduce((a, b) => a + b, 0).toFixed(decimalsOf(stepG)));
