import type { Celsius, Grams } from '../units/quantity.ts';
import { MOLAR_MASS_NAOH } from './molarMass.ts';

const MOLAR_MASS_WATER = 18.015;

/** Heat capacity of the solution, J/(g K), and the share of heat lost while stirring: common practice. */
const SOLUTION_J_PER_G_K = 3.6;
const LOST = 0.15;

/**
 * Integral heat of solution of NaOH, kJ/mol, by mol water per mol NaOH.
 * NBS Tables of Chemical Thermodynamic Properties, 1982 (from memory).
 */
const HEAT: readonly (readonly [molWater: number, kJ: number])[] = [
  [3, 28.9],
  [4, 34.4],
  [5, 37.8],
  [10, 42.5],
  [20, 42.8],
  [50, 42.5],
];

export function heatOfSolution(molWater: number): number {
  const x = Math.min(50, Math.max(3, molWater));
  const i = Math.min(
    HEAT.length - 2,
    HEAT.findLastIndex(([n]) => n <= x),
  );
  const [x0, y0] = HEAT[i] as readonly [number, number];
  const [x1, y1] = HEAT[i + 1] as readonly [number, number];
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}

/**
 * An estimate of the hottest the solution gets when all the lye is stirred in at once; without lye nothing
 * heats.
 */
export function peakLyeTemperature(lyeG: Grams, waterG: Grams, startC: Celsius): Celsius {
  if (lyeG <= 0) return startC;
  const mol = lyeG / MOLAR_MASS_NAOH;
  const heatJ = mol * heatOfSolution(waterG / MOLAR_MASS_WATER / mol) * 1000;
  return startC + (heatJ * (1 - LOST)) / ((lyeG + waterG) * SOLUTION_J_PER_G_K);
}
