import type { Millimetres, Stage } from '../units/quantity.ts';
import { stageOfStress, yieldStress } from './stage.ts';

const GRAVITY = 9.81;

/** So much stronger than it need be, since a scraper shakes what it leaves. A judgement, no source. */
const MARGIN = 1.5;

/**
 * The least stage at which ridges of `reliefMm` keep their shape: a bank of a plastic solid stands upright to
 * H = 4 tau / (rho g) (Terzaghi, "Theoretical Soil Mechanics", 1943, from memory). An estimate; density in
 * g/ml.
 */
export function stageToKeepRidges(reliefMm: Millimetres, densityGMl: number): Stage {
  const stress = (MARGIN * densityGMl * GRAVITY * reliefMm) / 4;
  return stress <= 0.5 ? 0 : Math.min(5, stageOfStress(stress));
}

/**
 * How high ridges stand in batter of a stage by themselves: what is spooned or poured so thick does not run
 * level. The same estimate, the other way round.
 */
export const ridgesAt = (stage: Stage, densityGMl: number): Millimetres =>
  (4 * yieldStress(stage)) / (MARGIN * densityGMl * GRAVITY);
