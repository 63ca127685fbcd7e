import { formatShort } from '../units/format.ts';
import type { Degrees, Millimetres, Pascals, Stage } from '../units/quantity.ts';

/** Stages of thickness are continuous: 0 emulsion, 1 light, 2 medium, 3 thick, 4 spoonable, 5 firm. */
export const STAGES = ['emulsion', 'light', 'medium', 'thick', 'spoonable', 'firm'] as const;

/** The nearest stage's word. */
export const stageWord = (stage: Stage): string =>
  STAGES[Math.min(5, Math.max(0, Math.round(stage)))] ?? 'firm';

/**
 * Between which two stages it is, or at which: "medium", "between medium and thick". A tenth either way is
 * that stage.
 */
export function stagePhrase(stage: Stage): string {
  const below = Math.floor(Math.min(5, Math.max(0, stage)));
  const over = stage - below;
  if (over < 0.1) return stageWord(below);
  if (over > 0.9) return stageWord(below + 1);
  return `between ${stageWord(below)} and ${stageWord(below + 1)}`;
}

/** A stage as it is told everywhere: "between light and medium (1.6 of 5)". */
export const stageFigure = (stage: Stage): string => `${stagePhrase(stage)} (${formatShort(stage, 1)} of 5)`;

/** Yield stress in Pa at a stage: 0.5 x 10^(0.7 s), a starting estimate. */
export const yieldStress = (stage: Stage): Pascals => 0.5 * 10 ** (0.7 * stage);

/** The stage at which batter has this yield stress. */
export const stageOfStress = (stress: Pascals): Stage => Math.log10(stress / 0.5) / 0.7;

const GRAVITY = 9.81;

/**
 * The least stage at which a slope of `depthMm` of batter holds when the mould is turned by `degrees`:
 * tau >= rho g H sin a (infinite slope of a yield-stress fluid). An estimate. Density in g/ml.
 */
export function stageToHoldSlope(depthMm: Millimetres, degrees: Degrees, densityGMl: number): Stage {
  const stress: Pascals = densityGMl * GRAVITY * depthMm * Math.sin((Math.abs(degrees) * Math.PI) / 180);
  return stress <= 0.5 ? 0 : stageOfStress(stress);
}
