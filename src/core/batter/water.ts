import type { Water } from './schema.ts';

/** The three ways makers state water, all for the same solution. */
export interface WaterSchools {
  readonly percentOfOils: number;
  /** lye / (lye + water), percent by mass of lye as weighed */
  readonly lyeConcentrationPercent: number;
  /** water : lye */
  readonly waterToLye: number;
}

/** Water in g per g of oils for lye of `lyePerOil` g per g of oils. */
export function waterPerOil(water: Water, lyePerOil: number): number {
  switch (water.school) {
    case 'percent-of-oils':
      return water.value / 100;
    case 'lye-concentration':
      return lyePerOil * (100 / water.value - 1);
    case 'water-to-lye':
      return lyePerOil * water.value;
  }
}

export const waterSchools = (waterPerOilG: number, lyePerOilG: number): WaterSchools => ({
  percentOfOils: waterPerOilG * 100,
  lyeConcentrationPercent: (lyePerOilG / (lyePerOilG + waterPerOilG)) * 100,
  waterToLye: waterPerOilG / lyePerOilG,
});

/** One of the three ways of saying the same water, to two decimals. */
export function waterAs(schools: WaterSchools, school: Water['school']): Water {
  const round = (x: number): number => Math.round(x * 100) / 100;
  switch (school) {
    case 'percent-of-oils':
      return { school, value: round(schools.percentOfOils) };
    case 'lye-concentration':
      return { school, value: round(schools.lyeConcentrationPercent) };
    case 'water-to-lye':
      return { school, value: round(schools.waterToLye) };
  }
}
