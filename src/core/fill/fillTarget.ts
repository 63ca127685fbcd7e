import { heightOfVolume, volumeToHeight, type MouldGeometry } from '../mould/geometry.ts';
import { totalHeldBack } from '../plan/pours.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import { openingOf } from './topShares.ts';

/** How full a mould is to be, whichever way the plan says it. */
export interface FillTarget {
  /** in one mould */
  readonly volumeMl: Millilitres;
  readonly heightMm: Millimetres;
  /**
   * the whole batch, where the plan gives its size and this mould takes what is left of it; undefined when
   * the mould decides
   */
  readonly givenBatchG: Grams | undefined;
  /** more than the rim holds, ml in one mould; 0 when it fits */
  readonly overRimMl: Millilitres;
}

/** The poured batter on average: colorants and carriers make it a little heavier, and hold less oil. */
export interface MeanBatter {
  readonly densityGMl: number;
  /** g of oils in a gram of it */
  readonly oils: number;
}

/** The whole batch where the plan gives its size, g; undefined where the moulds decide it. */
export function givenBatch({ fill: { to } }: Plan, mean: MeanBatter): Grams | undefined {
  if (to.kind === 'batter') return to.massG;
  if (to.kind === 'oils') return to.massG / mean.oils;
  return undefined;
}

/** What a batch of given size has for its moulds, g: without what is mixed beyond and what is held back. */
export const batchForMoulds = (plan: Plan, batchG: Grams): Grams =>
  batchG / (1 + plan.fill.overagePercent / 100) - totalHeldBack(plan);

const target = (
  geometry: MouldGeometry,
  wantedMl: Millilitres,
  aboveRimMm: Millimetres,
  givenBatchG: Grams | undefined,
): FillTarget => {
  const overRimMl = Math.max(0, wantedMl - geometry.rimVolumeMl) + (aboveRimMm * openingOf(geometry)) / 1000;
  const volumeMl = Math.min(Math.max(0, wantedMl), geometry.rimVolumeMl);
  return { volumeMl, heightMm: heightOfVolume(geometry, volumeMl), givenBatchG, overRimMl };
};

/** A mould filled to a height or to so far under its rim. */
export function fillTo(
  geometry: MouldGeometry,
  to: Extract<Plan['fill']['to'], { kind: 'headspace' | 'height' }>,
): FillTarget {
  const heightMm = to.kind === 'height' ? to.heightMm : geometry.heightMm - to.headspaceMm;
  return target(
    geometry,
    volumeToHeight(geometry, heightMm),
    Math.max(0, heightMm - geometry.heightMm),
    undefined,
  );
}

/** A mould that takes `volumeMl`, its part of what is left of a batch of `givenBatchG`. */
export const fillWith = (geometry: MouldGeometry, volumeMl: Millilitres, givenBatchG: Grams): FillTarget =>
  target(geometry, volumeMl, 0, givenBatchG);
