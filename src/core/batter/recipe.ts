import { isInLye, LIQUID_MOMENT } from './moments.ts';
import { lyePerOil, naohPerOil, superfatAtRange } from './lye.ts';
import { additionsOf, wholeBatch, type Addition, type Scope } from './additions.ts';
import type { Batter, Dose, PartLiquid } from './schema.ts';
import { solutionDensity } from './solutionDensity.ts';
import { usedOils, type UsedOil } from './usedOils.ts';
import { waterPerOil, waterSchools, type WaterSchools } from './water.ts';

/** Milk, aloe and the like, g/g oils. */
export interface RecipeLiquid {
  readonly id: string;
  readonly name: string;
  readonly perOil: number;
  readonly waterPercent: number;
  readonly moment: PartLiquid['moment'];
}

/** The lye solution has it in it; otherwise it goes to the oils. */
export const isInSolution = ({ moment }: Pick<RecipeLiquid, 'moment'>): boolean =>
  LIQUID_MOMENT[moment].inSolution;

/** The lye is dissolved in it, with the water or instead of it. */
const dissolves = ({ moment }: Pick<RecipeLiquid, 'moment'>): boolean => LIQUID_MOMENT[moment].dissolves;

/** One dose of an addition, g/g oils. */
export interface RecipeDose {
  readonly addition: Addition;
  readonly dose: Dose;
  readonly perOil: number;
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
  /** water that the lye dissolves in: weighed as water, or in a liquid that is with it, g/g oils */
  readonly dissolvingWater: number;
  readonly partLiquids: readonly RecipeLiquid[];
  readonly doses: readonly RecipeDose[];
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

/** g of the doses that are wanted, g/g oils. */
export const dosesPerOil = (
  { doses }: Pick<Recipe, 'doses'>,
  wanted: (d: RecipeDose) => boolean = () => true,
): number => doses.reduce((s, d) => s + (wanted(d) ? d.perOil : 0), 0);

/** Lye, its water and all that is in it, g/g oils. */
export const solutionPerOil = (recipe: Recipe): number =>
  recipe.lye +
  recipe.plainWater +
  recipe.partLiquids.reduce((s, l) => s + (isInSolution(l) ? l.perOil : 0), 0) +
  dosesPerOil(recipe, (d) => isInLye(d.dose.moment));

/** The recipe per gram of oils, with the doses of a scope; undefined when there is no oil to weigh. */
export function recipeOf(batter: Batter, scope: Scope = wholeBatch): Recipe | undefined {
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
    moment: l.moment,
  }));
  const brought = partLiquids.reduce((s, l) => s + l.water, 0);
  // percents that add up to a hundred leave dust of either sign: that is no water
  const plainWater = Math.abs(water - brought) < water * 1e-9 ? 0 : water - brought;
  const dissolvingWater = plainWater + partLiquids.reduce((s, l) => s + (dissolves(l) ? l.water : 0), 0);
  const doses = additionsOf(batter).flatMap((addition) =>
    addition.doses.flatMap((dose) =>
      scope(dose) ? [{ addition, dose, perOil: dose.gPerKgOils / 1000 }] : [],
    ),
  );
  const schools = waterSchools(water, lye);
  const solids = partLiquids.reduce((s, l) => s + l.perOil - l.water, 0);
  const mass = 1 + lye + water + solids + doses.reduce((s, d) => s + d.perOil, 0);
  const volume =
    oils.reduce((s, o) => s + o.share / o.oil.densityGMl, 0) +
    (lye + water) / solutionDensity(schools.lyeConcentrationPercent) +
    solids / SOLIDS_DENSITY +
    doses.reduce((s, d) => s + d.perOil / d.addition.densityGMl, 0);
  return {
    oils,
    fullNeed,
    lye,
    water,
    plainWater,
    dissolvingWater,
    partLiquids,
    doses,
    schools,
    batterPerOil: mass,
    densityGMl: mass / volume,
    superfatAtLowEnd: superfatAtRange(oils, 'svLow', lye, batter.purityPercent),
  };
}
