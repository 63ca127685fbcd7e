import { MOLAR_MASS_KOH, MOLAR_MASS_NAOH } from './molarMass.ts';
import type { UsedOil } from './usedOils.ts';

const NAOH_PER_KOH = MOLAR_MASS_NAOH / MOLAR_MASS_KOH;

/** Pure NaOH that a gram of an oil with this saponification value can use, g. Value in mg KOH per g. */
export const naohNeed = (svMgG: number): number => (svMgG / 1000) * NAOH_PER_KOH;

/**
 * Pure NaOH in g that fully saponifies 1 g of the oil blend:
 * sum(share x SV_KOH / 1000 x 39.997 / 56.106). The saponification value is defined in mg KOH per g
 * (ISO 3657, "Determination of saponification value", from memory).
 */
export const naohPerOil = (oils: readonly UsedOil[], svOf = (o: UsedOil): number => o.svMgG): number =>
  oils.reduce((sum, o) => sum + (o.share * svOf(o)) / 1000, 0) * NAOH_PER_KOH;

/** Lye to weigh, g per g of oils: full need x (1 - superfat) / purity. Percents 0..100. */
export const lyePerOil = (fullNeed: number, superfatPercent: number, purityPercent: number): number =>
  (fullNeed * (1 - superfatPercent / 100)) / (purityPercent / 100);

/**
 * The superfat that a weighed amount of lye leaves, percent; negative when there is more lye than the
 * oils can use. `lyePerOilG` in g per g of oils.
 */
export const superfatOf = (fullNeed: number, lyePerOilG: number, purityPercent: number): number =>
  (1 - (lyePerOilG * (purityPercent / 100)) / fullNeed) * 100;

/** The superfat left if every oil really sat at one end of its published range, percent. */
export const superfatAtRange = (
  oils: readonly UsedOil[],
  end: 'svLow' | 'svHigh',
  lyePerOilG: number,
  purityPercent: number,
): number =>
  superfatOf(
    naohPerOil(oils, (o) => o.oil[end]),
    lyePerOilG,
    purityPercent,
  );
