import { lyePerOil, naohPerOil, superfatAtRange } from './lye.ts';
import type { Batter } from './schema.ts';
import { solutionDensity } from './solutionDensity.ts';
import { usedOils, type UsedOil } from './usedOils.ts';
import { waterPerOil, waterSchools, type WaterSchools } from './water.ts';

/** Milk, aloe and the like, g/g oils. */
export interface RecipeLiquid {
  readonly id: string;
  readonly name: string;
  readonly perOil: number;
  readonly waterPercent: number;
  /** the lye is dissolved in it, frozen and slowly */
  readonly frozen: boolean;
}

/** A recipe per gram of oils: everything that does not depend on how much is made. */
export interface Recipe {
  readonly oils: readonly UsedOil[];
  /** pure NaOH for zero superfat, g/g oils */
  readonly fullNeed: number;
  /** lye to weigh, g/g oils */
  readonly lye: number;
  /** all water, including what part-liquids bring, g/g oils */
  readonly water: number;
  /** water weighed as water, g/g oils; 0 when other liquids bring all of it */
  readonly plainWater: number;
  /** water that the lye dissolves in: weighed as water or frozen in a liquid, g/g oils */
  readonly dissolvingWater: number;
  readonly partLiquids: readonly RecipeLiquid[];
  readonly additives: readonly {
    readonly id: string;
    readonly name: string;
    readonly into: 'lye' | 'oils' | 'trace';
    readonly perOil: number;
  }[];
  /** g/g oils; 0 without a fragrance */
  readonly fragrance: number;
  readonly schools: WaterSchools;
  /** g of batter per g of oils */
  readonly batterPerOil: number;
  readonly densityGMl: number;
  /** superfat left if the oils sit at the low end of their ranges, percent */
  readonly superfatAtLowEnd: number;
}

/** Batter density while no recipe says otherwise, g/ml (common practice: close to 1 g/ml). */
export const NOMINAL_DENSITY = 1.01;

/** Dissolved matter in milk and the like takes up about its share of a 1.5 g/ml solid (from memory). */
export const SOLIDS_DENSITY = 1.5;

/** The recipe per gram of oils; undefined when there is no oil to weigh. */
export function recipeOf(batter: Batter): Recipe | undefined {
  const oils = usedOils(batter);
  if (oils.length === 0) return undefined;
  const fullNeed = naohPerOil(oils);
  const lye = lyePerOil(fullNeed, batter.superfatPercent, batter.purityPercent);
  const water = waterPerOil(batter.water, lye);
  const partLiquids = batter.partLiquids.map((l) => ({
    id: l.id,
    name: l.name,
    perOil: (water * l.percentOfWater) / l.waterPercent,
    water: (water * l.percentOfWater) / 100,
    waterPercent: l.waterPercent,
    frozen: l.frozen ?? false,
  }));
  const brought = partLiquids.reduce((s, l) => s + l.water, 0);
  // percents that add up to a hundred leave dust of either sign: that is no water
  const plainWater = Math.abs(water - brought) < water * 1e-9 ? 0 : water - brought;
  const dissolvingWater = plainWater + partLiquids.reduce((s, l) => s + (l.frozen ? l.water : 0), 0);
  const additives = batter.additives.map((a) => ({
    id: a.id,
    name: a.name,
    into: a.into,
    perOil: a.gPerKgOils / 1000,
    densityGMl: a.densityGMl,
  }));
  const fragrance = (batter.fragrance?.percentOfOils ?? 0) / 100;
  const schools = waterSchools(water, lye);
  const solids = partLiquids.reduce((s, l) => s + l.perOil - l.water, 0);
  const mass = 1 + lye + water + solids + additives.reduce((s, a) => s + a.perOil, 0) + fragrance;
  const volume =
    oils.reduce((s, o) => s + o.share / o.oil.densityGMl, 0) +
    (lye + water) / solutionDensity(schools.lyeConcentrationPercent) +
    solids / SOLIDS_DENSITY +
    additives.reduce((s, a) => s + a.perOil / a.densityGMl, 0) +
    fragrance / (batter.fragrance?.densityGMl ?? 1);
  return {
    oils,
    fullNeed,
    lye,
    water,
    plainWater,
    dissolvingWater,
    partLiquids,
    additives,
    fragrance,
    schools,
    batterPerOil: mass,
    densityGMl: mass / volume,
    superfatAtLowEnd: superfatAtRange(oils, 'svLow', lye, batter.purityPercent),
  };
}
