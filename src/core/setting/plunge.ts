import type { Millimetres, Pascals, Stage } from '../units/quantity.ts';
import { stageOfStress, yieldStress } from './stage.ts';

const GRAVITY = 9.81;

/** Bearing capacity of a plastic solid over its yield stress, 2 + pi (Prandtl 1921, from memory). */
const BEARING = 5.14;

/** The pressure of a stream that fell so far, Pa; density in g/ml. */
export const pressureOf = (fallMm: Millimetres, densityGMl: number): Pascals => densityGMl * GRAVITY * fallMm;

/** What batter of a stage bears before it gives way, Pa. */
export const bearingOf = (stage: Stage): Pascals => BEARING * yieldStress(stage);

/** The stage at which batter bears so much. */
export const stageOfBearing = (bearing: Pascals): Stage => stageOfStress(bearing / BEARING);

/**
 * How a falling stream pushes what it falls into: 1 goes through the whole depth, 6 lies down on top. n = 1 +
 * 5 min(1, 5.14 tau / (rho g h)): it stops where the batter's bearing strength meets the stream's pressure.
 * An estimate; density in g/ml.
 */
export function plungeOf(stage: Stage, fallMm: Millimetres, densityGMl: number): number {
  return 1 + 5 * Math.min(1, bearingOf(stage) / pressureOf(fallMm, densityGMl));
}

/**
 * How far down, of the depth there is, a stream's middle goes: where a level has moved half as far down as
 * the surface rose.
 */
export const sinksTo = (plunge: number): number => 1 - 0.5 ** (1 / plunge);

/**
 * How high the jug is held so that a stream goes as deep as it would from `fallMm` at another stage: its
 * pressure goes with the bearing strength of what it falls into. An estimate.
 */
export const fallFor = (fallMm: Millimetres, from: Stage, to: Stage): Millimetres =>
  fallMm * (yieldStress(to) / yieldStress(from));
