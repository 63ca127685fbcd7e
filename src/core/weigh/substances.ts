import { rememberedLast } from '../task/remembered.ts';
import { isInLye } from '../batter/moments.ts';
import { additionsOf, type Addition } from '../batter/additions.ts';
import type { Dose } from '../batter/schema.ts';
import { isInSolution, SOLIDS_DENSITY, type Recipe } from '../batter/recipe.ts';
import { naohNeed } from '../batter/lye.ts';
import { lotName, midSv, withValue } from '../batter/oil.ts';
import { libraryOil, OIL_LIBRARY } from '../batter/oilLibrary.ts';
import { solutionDensity } from '../batter/solutionDensity.ts';
import { CARRIER_DENSITY, POWDER_DENSITY, UNDESCRIBED_DENSITY } from '../colorant/dispersion.ts';
import { CARRIERS, type PlanColorant } from '../colorant/schema.ts';
import type { Substance } from '../ledger/substance.ts';
import type { Plan } from '../plan/planSchema.ts';
import { hasOwn } from '../plan/recipes.ts';
import { usedOils, type UsedOil } from '../batter/usedOils.ts';

/**
 * Ids of what is weighed, by kind. Oil that colorants are dispersed in is told apart from the rest of the
 * same oil.
 */
export const SUBSTANCE = {
  /** by the line of the recipe: two lots of one oil have values of their own */
  oil: (line: string) => `oil:${line}`,
  /** an oil of a pot's own, which may have another saponification value than the recipe's of that name */
  ownOil: (pot: string, line: string) => `own-oil:${pot}:${line}`,
  carrierOil: (line: string) => `carrier-oil:${line}`,
  /** what a jar that stands ready is shaken up in */
  jarOil: (colorant: string) => `jar-oil:${colorant}`,
  lye: 'lye',
  water: 'water',
  liquid: (id: string) => `liquid:${id}`,
  addition: ({ kind, id }: Pick<Addition, 'kind' | 'id'>) => `${kind === 'oil' ? 'late-oil' : kind}:${id}`,
  colorant: (id: string) => `colorant:${id}`,
  carrier: (kind: string) => `carrier:${kind}`,
} as const;

/** The name of one dose of an addition, as its transfers carry it. */
export const doseKey = ({
  addition,
  dose,
}: {
  readonly addition: Pick<Addition, 'kind' | 'id'>;
  readonly dose: Pick<Dose, 'id'>;
}): string => `${SUBSTANCE.addition(addition)}:${dose.id}`;

const INERT = { needsNaoh: 0, bringsNaoh: 0, water: 0 } as const;

/**
 * Neither the batter, the pots nor the colorants change while a line is dragged: their substances are kept
 * with the batter.
 */
const kept = rememberedLast<ReadonlyMap<string, Substance>>();

/**
 * Everything a plan weighs, with what a balance asks of it. Lye and water have the density of their solution.
 */
export const substancesOf = (plan: Plan, recipe: Recipe): ReadonlyMap<string, Substance> =>
  kept(plan.batter, [plan.colorants, plan.pots, plan.divide], () => describe(plan, recipe));

/** What an addition counts as. What is only ever dissolved in the lye is part of its solution. */
const KIND_OF: Readonly<Record<Addition['kind'], (a: Addition) => Substance['kind']>> = {
  additive: (a) => (a.doses.every((d) => isInLye(d.moment)) ? 'dissolved' : 'additive'),
  oil: () => 'late-oil',
  fragrance: () => 'fragrance',
};

const oilSubstance = (
  o: Pick<UsedOil, 'oil' | 'svMgG' | 'line'>,
  id: string,
  kind: 'oil' | 'carrier',
): Substance => ({
  ...INERT,
  id,
  of: o.line,
  name: lotName(o.oil, o.svMgG),
  kind,
  densityGMl: o.oil.densityGMl,
  needsNaoh: naohNeed(o.svMgG),
});

/**
 * The least that a gram of any light oil of the library may use, mg KOH: what an oil that nobody named is
 * counted as.
 */
const LEAST_SV = Math.min(...OIL_LIBRARY.flatMap((o) => (o.liquid ? [o.svLow] : [])));

/**
 * What a jar of colour is shaken up in. An oil that is not named is counted as the one that can use least
 * lye.
 */
export function jarOilOf({ jar, jarOil }: PlanColorant): Pick<UsedOil, 'oil' | 'svMgG'> {
  const known = jarOil === undefined ? undefined : libraryOil(jarOil);
  const oil = known ?? {
    id: 'jar-oil',
    name: 'Oil',
    svLow: LEAST_SV,
    svHigh: LEAST_SV,
    densityGMl: CARRIER_DENSITY.oil,
    origin: '',
  };
  return {
    oil: { ...oil, name: `${oil.name} in the jar "${jar ?? ''}"` },
    svMgG: known ? midSv(known) : LEAST_SV,
  };
}

/** Oils of one name that are not the same are told apart by their saponification values. */
function toldApart(list: readonly Substance[]): readonly Substance[] {
  const needs = new Map<string, Set<number>>();
  const isOil = ({ needsNaoh }: Substance): boolean => needsNaoh > 0;
  for (const s of list) if (isOil(s)) needs.set(s.name, (needs.get(s.name) ?? new Set()).add(s.needsNaoh));
  return list.map((s) =>
    isOil(s) && (needs.get(s.name)?.size ?? 0) > 1
      ? { ...s, name: withValue(s.name, s.needsNaoh / naohNeed(1)) }
      : s,
  );
}

function describe(plan: Plan, recipe: Recipe): ReadonlyMap<string, Substance> {
  const solution = solutionDensity(recipe.schools.lyeConcentrationPercent);
  const { purityPercent } = plan.batter;
  const list: Substance[] = [
    ...recipe.oils.flatMap((o) => [
      oilSubstance(o, SUBSTANCE.oil(o.line), 'oil'),
      oilSubstance(o, SUBSTANCE.carrierOil(o.line), 'carrier'),
    ]),
    ...plan.colorants.flatMap((c) =>
      c.jar !== undefined && c.nature?.carrier === 'oil'
        ? [oilSubstance({ ...jarOilOf(c), line: c.id }, SUBSTANCE.jarOil(c.id), 'carrier')]
        : [],
    ),
    ...plan.pots.flatMap((p) =>
      hasOwn(plan, p) && p.own?.oils
        ? usedOils({ oils: p.own.oils }).map((o) => oilSubstance(o, SUBSTANCE.ownOil(p.id, o.line), 'oil'))
        : [],
    ),
    {
      ...INERT,
      id: SUBSTANCE.lye,
      of: SUBSTANCE.lye,
      name: 'Sodium hydroxide',
      kind: 'lye',
      densityGMl: solution,
      bringsNaoh: purityPercent / 100,
    },
    {
      ...INERT,
      id: SUBSTANCE.water,
      of: SUBSTANCE.water,
      name: 'Water',
      kind: 'water',
      densityGMl: solution,
      water: 1,
    },
    ...recipe.partLiquids.map((l): Substance => {
      const water = l.waterPercent / 100;
      return {
        ...INERT,
        id: SUBSTANCE.liquid(l.id),
        of: l.id,
        name: l.name,
        kind: isInSolution(l) ? 'dissolved' : 'liquid',
        densityGMl: 1 / (water / solution + (1 - water) / SOLIDS_DENSITY),
        water,
      };
    }),
    ...additionsOf(plan.batter).map((a): Substance => ({
      ...INERT,
      id: SUBSTANCE.addition(a),
      of: a.id,
      name: a.name,
      kind: KIND_OF[a.kind](a),
      densityGMl: a.densityGMl,
      needsNaoh: a.needsNaoh,
    })),
    ...plan.colorants.map((c): Substance => ({
      ...INERT,
      id: SUBSTANCE.colorant(c.id),
      of: c.id,
      name: c.name,
      kind: 'colorant',
      densityGMl: c.nature ? POWDER_DENSITY[c.nature.kind] : UNDESCRIBED_DENSITY,
    })),
    ...CARRIERS.map((kind): Substance => ({
      ...INERT,
      id: SUBSTANCE.carrier(kind),
      of: kind,
      name: kind.charAt(0).toUpperCase() + kind.slice(1),
      kind: 'carrier',
      densityGMl: CARRIER_DENSITY[kind],
      water: kind === 'water' ? 1 : 0,
    })),
  ];
  return new Map(toldApart(list).map((s) => [s.id, s]));
}
