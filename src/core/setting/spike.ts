import type { Millimetres, Stage } from '../units/quantity.ts';
import { bearingOf, pressureOf, stageOfBearing } from './plunge.ts';

/** How wide a line is as it leaves a jug held low, mm. A judgement, no source. */
const LINE_MM = 5;

/**
 * How deep a line that falls from so high sinks in, mm: as far as its fall's work goes against the bearing
 * strength of the batter that it sinks into, rho g h b = 5.14 tau d for a line b wide. An estimate; density
 * in g/ml.
 */
export const sinkOf = (stage: Stage, fallMm: Millimetres, densityGMl: number): Millimetres =>
  (LINE_MM * pressureOf(fallMm, densityGMl)) / bearingOf(stage);

/** The stage at which a line that falls from so high sinks in just so far. */
export const stageToSink = (sinkMm: Millimetres, fallMm: Millimetres, densityGMl: number): Stage =>
  stageOfBearing((LINE_MM * pressureOf(fallMm, densityGMl)) / sinkMm);
