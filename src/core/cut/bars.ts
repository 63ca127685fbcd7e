import { fillProfile } from '../geometry/fillProfile.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Layer } from '../mould/stack.ts';
import type { CutSettings } from '../plan/planSchema.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';

/** One bar cut straight across: from `startMm` to `endMm` along y (0 at the near end of the loaf). */
export interface Bar {
  readonly startMm: Millimetres;
  readonly endMm: Millimetres;
  readonly volumeMl: Millilitres;
}

export interface BarCut {
  readonly loafMm: Millimetres;
  readonly bars: readonly Bar[];
  /** what is left past the last bar's cut, before the far trim */
  readonly remainderMm: Millimetres;
  /** the thickness at which the same trims and kerf give this many bars and one more, nothing left over */
  readonly evenThicknessMm: { readonly same: Millimetres | undefined; readonly more: Millimetres };
}

/** Bars = floor((length - trims + kerf) / (thickness + kerf)); a part in 10^9 forgives binary rounding. */
export function barCount(lengthMm: Millimetres, cut: CutSettings): number {
  const usable = lengthMm - cut.trimStartMm - cut.trimEndMm;
  return Math.max(0, Math.floor(((usable + cut.kerfMm) / (cut.thicknessMm + cut.kerfMm)) * (1 + 1e-9)));
}

/**
 * Cut a loaf of `loafMm` (its inside length at the lined floor, where it is shortest in a tapered mould)
 * straight across. Volumes come from the layers themselves, so bars of a tapered or sloping loaf differ.
 */
export function cutBars(layers: readonly Layer[], loafMm: Millimetres, cut: CutSettings): BarCut {
  const along = layers.map((l) => fillProfile(l.solid, [0, 1, 0]));
  const volumeTo = (y: Millimetres): number =>
    along.reduce((s, profile) => s + profile.volumeBelow(y - loafMm / 2), 0) / MM3_PER_ML;
  const n = barCount(loafMm, cut);
  const bars = Array.from({ length: n }, (_, i): Bar => {
    const startMm = cut.trimStartMm + i * (cut.thicknessMm + cut.kerfMm);
    const endMm = startMm + cut.thicknessMm;
    return { startMm, endMm, volumeMl: volumeTo(endMm) - volumeTo(startMm) };
  });
  const usable = loafMm - cut.trimStartMm - cut.trimEndMm;
  const thicknessFor = (count: number): number => (usable - (count - 1) * cut.kerfMm) / count;
  return {
    loafMm,
    bars,
    remainderMm: Math.max(0, usable - n * cut.thicknessMm - Math.max(0, n - 1) * cut.kerfMm),
    evenThicknessMm: { same: n > 0 ? thicknessFor(n) : undefined, more: thicknessFor(n + 1) },
  };
}

/** A bar's mass when cut: its own batter, plus its length's share of what is held back for the top. */
export const barMassG = (bar: Bar, loafMm: Millimetres, densityGMl: number, heldBackG: Grams): Grams =>
  bar.volumeMl * densityGMl + (heldBackG * (bar.endMm - bar.startMm)) / loafMm;
