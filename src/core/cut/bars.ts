import { fillProfile } from '../geometry/fillProfile.ts';
import type { Rectangle } from '../geometry/frustum.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Layer } from '../mould/stack.ts';
import type { CutSettings } from '../plan/planSchema.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';

/** The bars of one place along the loaf: from `startMm` to `endMm` along y (0 at the near end). */
export interface Bar {
  readonly startMm: Millimetres;
  readonly endMm: Millimetres;
  /** one bar's: the slice shared by its strips, less the kerfs between them */
  readonly volumeMl: Millilitres;
}

export interface BarCut {
  readonly loafMm: Millimetres;
  /** bars in all: places along the loaf x strips */
  readonly count: number;
  /** width of one bar across the loaf, at the lined floor */
  readonly stripMm: Millimetres;
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
 * Cut a loaf (its inside size at the lined floor, where it is smallest in a tapered mould) straight across,
 * and a slab into strips of equal width. Volumes come from the layers themselves, so bars of a tapered or sloping loaf differ.
 */
export function cutBars(layers: readonly Layer[], floor: Rectangle, cut: CutSettings): BarCut {
  const loafMm = floor.length;
  const stripMm = (floor.width - (cut.strips - 1) * cut.kerfMm) / cut.strips;
  const stripShare = Math.max(0, stripMm) / floor.width;
  const along = layers.map((l) => fillProfile(l.solid, [0, 1, 0]));
  const volumeTo = (y: Millimetres): number =>
    along.reduce((s, profile) => s + profile.volumeBelow(y - loafMm / 2), 0) / MM3_PER_ML;
  const n = barCount(loafMm, cut);
  const bars = Array.from({ length: n }, (_, i): Bar => {
    const startMm = cut.trimStartMm + i * (cut.thicknessMm + cut.kerfMm);
    const endMm = startMm + cut.thicknessMm;
    return { startMm, endMm, volumeMl: (volumeTo(endMm) - volumeTo(startMm)) * stripShare };
  });
  const usable = loafMm - cut.trimStartMm - cut.trimEndMm;
  const thicknessFor = (count: number): number => (usable - (count - 1) * cut.kerfMm) / count;
  return {
    loafMm,
    count: stripMm > 0 ? n * cut.strips : 0,
    stripMm,
    bars,
    remainderMm: Math.max(0, usable - n * cut.thicknessMm - Math.max(0, n - 1) * cut.kerfMm),
    evenThicknessMm: { same: n > 0 ? thicknessFor(n) : undefined, more: thicknessFor(n + 1) },
  };
}

/** A bar's mass when cut: its own batter, plus its share of what is held back for the top. */
export const barMassG = (
  bar: Bar,
  cut: BarCut,
  densityGMl: number,
  heldBackG: Grams,
  strips: number,
): Grams => bar.volumeMl * densityGMl + (heldBackG * (bar.endMm - bar.startMm)) / cut.loafMm / strips;
