import type { CutSettings } from '../plan/planSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { BarCut } from './bars.ts';

/** A length that is this near to the cutter's grid is on it, mm. */
const ON_GRID = 0.05;

/**
 * Slots that a bar and its cut take, on a cutter of this pitch; a bar is as thick as they are wide, less the
 * kerf.
 */
export const slotsOf = ({ thicknessMm, kerfMm }: CutSettings, pitchMm: Millimetres): number =>
  (thicknessMm + kerfMm) / pitchMm;

/** The bars that a cutter can make nearest to a thickness: a whole number of slots, thinner and thicker. */
export function onGrid(cut: CutSettings, pitchMm: Millimetres): readonly Millimetres[] {
  const slots = slotsOf(cut, pitchMm);
  const near = [Math.floor(slots + 1e-9), Math.ceil(slots - 1e-9)];
  return [...new Set(near)].flatMap((n) => {
    const mm = n * pitchMm - cut.kerfMm;
    return n > 0 && mm >= 5 ? [Number(mm.toFixed(3))] : [];
  });
}

export const isOnGrid = (cut: CutSettings, pitchMm: Millimetres): boolean => {
  const slots = slotsOf(cut, pitchMm);
  return Math.abs(slots - Math.round(slots)) * pitchMm < ON_GRID && Math.round(slots) > 0;
};

/** Middles of the cuts between bars and at both trims along the longest piece, from its near end. */
export function cutsOf(cut: BarCut, settings: CutSettings): readonly Millimetres[] {
  const bars = cut.bars.filter((b) => b.piece === cut.bars[0]?.piece);
  const last = bars.at(-1);
  return last
    ? [
        ...(settings.trimStartMm > 0 ? [settings.trimStartMm] : []),
        ...bars.slice(0, -1).map((b) => b.endMm + settings.kerfMm / 2),
        ...(last.endMm < cut.loafMm ? [last.endMm] : []),
      ]
    : [];
}

/**
 * Where a loaf that is longer than the cutter takes is cut in pieces first: at cuts between bars, as few as
 * will do and the pieces as alike as they can be. mm from the near end; undefined where one bar alone is too
 * long.
 */
export function halvesAt(
  cut: BarCut,
  settings: CutSettings,
  longestMm: Millimetres,
): readonly Millimetres[] | undefined {
  if (cut.loafMm <= longestMm) return [];
  const cuts = cutsOf(cut, settings);
  for (let pieces = Math.ceil(cut.loafMm / longestMm); pieces <= cuts.length + 1; pieces += 1) {
    const at: Millimetres[] = [];
    for (let k = 1; k < pieces; k += 1) {
      const ideal = (cut.loafMm * k) / pieces;
      const left = cuts.filter((c) => c > (at.at(-1) ?? 0) + 1e-9);
      const next = left.toSorted((a, b) => Math.abs(a - ideal) - Math.abs(b - ideal))[0];
      if (next !== undefined) at.push(next);
    }
    const ends = [0, ...at, cut.loafMm];
    const longest = Math.max(...ends.slice(1).map((e, i) => e - (ends[i] ?? 0)));
    if (at.length === pieces - 1 && longest <= longestMm + 1e-9) return at;
  }
  return undefined;
}

/** How far the nearest cut stays from the pieces on top, mm; negative: it goes into one. */
export function clearance(
  cuts: readonly Millimetres[],
  { atMm, longMm }: NonNullable<CutSettings['onTop']>,
): Millimetres {
  return Math.min(...atMm.flatMap((at) => cuts.map((c) => Math.abs(c - at) - longMm / 2)), Infinity);
}

/** A shift is looked for in steps of this, mm. */
const SHIFT_MM = 0.5;

/**
 * The trim at the near end that keeps the cuts as far as can be from the pieces on top, within one bar,
 * without giving up a bar. `cutsWith` are the cuts for a trim. The trim there is now is kept where none is
 * better.
 */
export function clearTrim(
  settings: CutSettings,
  onTop: NonNullable<CutSettings['onTop']>,
  mostMm: Millimetres,
  cutsWith: (trimStartMm: Millimetres) => readonly Millimetres[],
): Millimetres {
  let best = settings.trimStartMm;
  let most = clearance(cutsWith(best), onTop);
  for (let trim = 0; trim <= mostMm + 1e-9; trim += SHIFT_MM) {
    const clear = clearance(cutsWith(trim), onTop);
    if (clear > most + 1e-9) [best, most] = [trim, clear];
  }
  return best;
}
