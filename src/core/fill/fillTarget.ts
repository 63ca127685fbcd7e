import type { Recipe } from '../batter/recipe.ts';
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

const givenBatch = (plan: Plan, recipe: Recipe | undefined): Grams | undefined => {
  const { to } = plan.fill;
  if (to.kind === 'batter') return to.massG;
  if (to.kind === 'oils') return to.massG * (recipe?.batterPerOil ?? 1);
  return undefined;
};

export function fillTarget(
  plan: Plan,
  geometry: MouldGeometry,
  recipe: Recipe | undefined,
  densityGMl: number,
): FillTarget {
  const { to, overagePercent, copies } = plan.fill;
  const givenBatchG = givenBatch(plan, recipe);
  const wanted =
    givenBatchG === undefined
      ? volumeToHeight(
          geometry,
          to.kind === 'height'
            ? to.heightMm
            : geometry.heightMm - (to.kind === 'headspace' ? to.headspaceMm : 0),
        )
      : (givenBatchG / (1 + overagePercent / 100) - totalHeldBack(plan)) / densityGMl / copies;
  const aboveRim = to.kind === 'height' ? Math.max(0, to.heightMm - geometry.heightMm) : 0;
  const overRimMl = Math.max(0, wanted - geometry.rimVolumeMl) + (aboveRim * openingOf(geometry)) / 1000;
  const volumeMl = Math.min(Math.max(0, wanted), geometry.rimVolumeMl);
  return { volumeMl, heightMm: heightOfVolume(geometry, volumeMl), givenBatchG, overRimMl };
}
