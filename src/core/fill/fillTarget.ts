import { heightOfVolume, volumeToHeight, type MouldGeometry } from '../mould/geometry.ts';
import { totalHeldBack } from '../plan/pours.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';

/** How full the mould is to be, whichever way the plan says it. */
export interface FillTarget {
  /** in one mould */
  readonly volumeMl: Millilitres;
  readonly heightMm: Millimetres;
  /** the whole batch when the plan gives its size; undefined when the mould decides it */
  readonly givenBatchG: Grams | undefined;
  /** more than the rim holds, ml; 0 when it fits */
  readonly overRimMl: Millilitres;
}

const openingOf = (geometry: MouldGeometry): number => geometry.rooms.reduce((s, r) => s + r.openingMm2, 0);

/** The poured batter on average: colorants and carriers make it a little heavier, and hold less oil. */
export interface MeanBatter {
  readonly densityGMl: number;
  /** g of oils in a gram of it */
  readonly oils: number;
}

const givenBatch = (plan: Plan, mean: MeanBatter): Grams | undefined => {
  const { to } = plan.fill;
  if (to.kind === 'batter') return to.massG;
  if (to.kind === 'oils') return to.massG / mean.oils;
  return undefined;
};

export function fillTarget(plan: Plan, geometry: MouldGeometry, mean: MeanBatter): FillTarget {
  const { to, overagePercent, copies } = plan.fill;
  const givenBatchG = givenBatch(plan, mean);
  const wanted =
    givenBatchG === undefined
      ? volumeToHeight(
          geometry,
          to.kind === 'height'
            ? to.heightMm
            : geometry.heightMm - (to.kind === 'headspace' ? to.headspaceMm : 0),
        )
      : (givenBatchG / (1 + overagePercent / 100) - totalHeldBack(plan)) / mean.densityGMl / copies;
  const aboveRim = to.kind === 'height' ? Math.max(0, to.heightMm - geometry.heightMm) : 0;
  const overRimMl = Math.max(0, wanted - geometry.rimVolumeMl) + (aboveRim * openingOf(geometry)) / 1000;
  const volumeMl = Math.min(Math.max(0, wanted), geometry.rimVolumeMl);
  return { volumeMl, heightMm: heightOfVolume(geometry, volumeMl), givenBatchG, overRimMl };
}
