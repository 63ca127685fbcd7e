import type { Millimetres, Stage } from '../units/quantity.ts';
import { pressureOf, stageOfBearing } from './plunge.ts';

/**
 * The least stage at which batter carries what lands on it: rho g h <= 5.14 tau (bearing capacity of a
 * plastic solid, Prandtl 1921, from memory). `fallMm` is the fall in effect: over a spatula far less than the
 * jug is held high. An estimate; density in g/ml.
 */
export const stageToCarry = (fallMm: Millimetres, densityGMl: number): Stage =>
  Math.max(0, stageOfBearing(pressureOf(fallMm, densityGMl)));
