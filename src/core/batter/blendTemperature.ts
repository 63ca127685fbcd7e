import type { Celsius, Grams } from '../units/quantity.ts';

/** Heat capacities, J/(g K): oils and lye solution. Common practice, no source. */
const OILS_J_PER_G_K = 2;
const SOLUTION_J_PER_G_K = 3.6;

/**
 * Temperature at which lye solution and oils meet: sum(m c T) / sum(m c), nothing lost to the pot. An
 * estimate; it leaves out the heat that saponification makes.
 */
export function blendTemperature(
  { oilsG, solutionG }: { readonly oilsG: Grams; readonly solutionG: Grams },
  { oilsC, lyeC }: { readonly oilsC: Celsius; readonly lyeC: Celsius },
): Celsius {
  const oils = oilsG * OILS_J_PER_G_K;
  const solution = solutionG * SOLUTION_J_PER_G_K;
  return oils + solution > 0 ? (oils * oilsC + solution * lyeC) / (oils + solution) : oilsC;
}
