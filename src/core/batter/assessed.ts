import type { Batter } from './schema.ts';

const figure = (x: number): string => String(Number(x.toPrecision(6)));

/**
 * What an assessor sees of a recipe, a line for each ingredient: oils, superfat, lye, water, liquids,
 * additives, late oils and fragrances with their amounts. Colours, pots and temperatures are not in it.
 */
export function recipeLines(batter: Batter): readonly string[] {
  const doses = (list: readonly { readonly gPerKgOils: number }[]): string =>
    `${figure(list.reduce((s, d) => s + d.gPerKgOils, 0))} g/kg of oils`;
  return [
    ...batter.oils.map((o) => `${o.custom?.name ?? o.oil}: ${figure(o.percent)} %`),
    `superfat: ${figure(batter.superfatPercent)} %`,
    `water: ${figure(batter.water.value)} (${batter.water.school})`,
    ...batter.partLiquids.map((l) => `${l.name}: ${figure(l.percentOfWater)} % of the water`),
    ...batter.additives.map((a) => `${a.name}: ${doses(a.doses)}`),
    ...batter.lateOils.map((o) => `${o.custom?.name ?? o.oil}, stirred in late: ${doses(o.doses)}`),
    ...batter.fragrances.map(
      (f) => `${f.name}${f.version === undefined ? '' : `, ${f.version}`}: ${doses(f.doses)}`,
    ),
  ].toSorted();
}
