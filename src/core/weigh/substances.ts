import type { Recipe } from '../batter/recipe.ts';
import { naohNeed } from '../batter/lye.ts';
import { SOLIDS_DENSITY } from '../batter/recipe.ts';
import { solutionDensity } from '../batter/solutionDensity.ts';
import { CARRIER_DENSITY, POWDER_DENSITY, UNDESCRIBED_DENSITY } from '../colorant/dispersion.ts';
import { CARRIERS } from '../colorant/schema.ts';
import type { Substance } from '../ledger/substance.ts';
import type { Plan } from '../plan/planSchema.ts';

/** Ids of what is weighed, by kind. Oil that colorants are dispersed in is told apart from the rest of the same oil. */
export const SUBSTANCE = {
  oil: (id: string) => `oil:${id}`,
  carrierOil: (id: string) => `carrier-oil:${id}`,
  lye: 'lye',
  water: 'water',
  liquid: (id: string) => `liquid:${id}`,
  additive: (id: string) => `additive:${id}`,
  colorant: (id: string) => `colorant:${id}`,
  carrier: (kind: string) => `carrier:${kind}`,
  fragrance: 'fragrance',
} as const;

const INERT = { needsNaoh: 0, bringsNaoh: 0, water: 0 } as const;

interface Remembered {
  readonly colorants: Plan['colorants'];
  readonly substances: ReadonlyMap<string, Substance>;
}

/** Neither the batter nor the colorants change while a line is dragged: their substances are kept with the batter. */
const remembered = new WeakMap<Plan['batter'], Remembered>();

/** Everything a plan weighs, with what a balance asks of it. Lye and water have the density of their solution. */
export function substancesOf(plan: Plan, recipe: Recipe): ReadonlyMap<string, Substance> {
  const before = remembered.get(plan.batter);
  if (before?.colorants === plan.colorants) return before.substances;
  const substances = describe(plan, recipe);
  remembered.set(plan.batter, { colorants: plan.colorants, substances });
  return substances;
}

function describe(plan: Plan, recipe: Recipe): ReadonlyMap<string, Substance> {
  const solution = solutionDensity(recipe.schools.lyeConcentrationPercent);
  const { fragrance, purityPercent } = plan.batter;
  const list: Substance[] = [
    ...recipe.oils.flatMap((o): Substance[] => {
      const own = {
        name: o.oil.name,
        densityGMl: o.oil.densityGMl,
        ...INERT,
        needsNaoh: naohNeed(o.svMgG),
      };
      return [
        { ...own, id: SUBSTANCE.oil(o.oil.id), kind: 'oil' },
        { ...own, id: SUBSTANCE.carrierOil(o.oil.id), kind: 'carrier' },
      ];
    }),
    {
      ...INERT,
      id: SUBSTANCE.lye,
      name: 'Sodium hydroxide',
      kind: 'lye',
      densityGMl: solution,
      bringsNaoh: purityPercent / 100,
    },
    { ...INERT, id: SUBSTANCE.water, name: 'Water', kind: 'water', densityGMl: solution, water: 1 },
    ...recipe.partLiquids.map((l): Substance => {
      const water = l.waterPercent / 100;
      return {
        ...INERT,
        id: SUBSTANCE.liquid(l.id),
        name: l.name,
        kind: l.frozen ? 'dissolved' : 'liquid',
        densityGMl: 1 / (water / solution + (1 - water) / SOLIDS_DENSITY),
        water,
      };
    }),
    ...plan.batter.additives.map((a): Substance => ({
      ...INERT,
      id: SUBSTANCE.additive(a.id),
      name: a.name,
      kind: a.into === 'lye' ? 'dissolved' : 'additive',
      densityGMl: a.densityGMl,
    })),
    ...plan.colorants.map((c): Substance => ({
      ...INERT,
      id: SUBSTANCE.colorant(c.id),
      name: c.name,
      kind: 'colorant',
      densityGMl: c.nature ? POWDER_DENSITY[c.nature.kind] : UNDESCRIBED_DENSITY,
    })),
    ...CARRIERS.map((kind): Substance => ({
      ...INERT,
      id: SUBSTANCE.carrier(kind),
      name: kind.charAt(0).toUpperCase() + kind.slice(1),
      kind: 'carrier',
      densityGMl: CARRIER_DENSITY[kind],
      water: kind === 'water' ? 1 : 0,
    })),
    {
      ...INERT,
      id: SUBSTANCE.fragrance,
      name: fragrance?.name ?? 'Fragrance',
      kind: 'fragrance',
      densityGMl: fragrance?.densityGMl ?? 1,
    },
  ];
  return new Map(list.map((s) => [s.id, s]));
}
