import { additionsOf, type Addition } from '../batter/additions.ts';
import { usedOils } from '../batter/usedOils.ts';
import type { Recipe, RecipeLiquid } from '../batter/recipe.ts';
import { massOfKinds, type Substances } from '../ledger/balance.ts';
import { massOfContents } from '../ledger/contents.ts';
import { grouped } from '../ledger/grouped.ts';
import { everIn, supplied, type Ledger } from '../ledger/ledger.ts';
import type { Plan } from '../plan/planSchema.ts';
import { hasOwn } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import { VESSEL } from '../day/vessel.ts';
import { SUBSTANCE } from './substances.ts';

/** A thing to put on the scale. */
export interface Weight {
  readonly id: string;
  readonly name: string;
  readonly massG: Grams;
}

/** What a batch is mixed from, at the resolution of the scales: read off its ledger. */
export interface Ingredients {
  /** all oils, those that colorants are dispersed in among them */
  readonly oilsG: Grams;
  readonly oils: readonly (Weight & {
    /** its line of the recipe, or what it is called where it is of no line */
    readonly line: string;
    /** of it, set aside for the colorants */
    readonly asideG: Grams;
  })[];
  /** rounded down to the scale's step, never up */
  readonly lyeG: Grams;
  readonly waterG: Grams;
  readonly partLiquids: readonly (Weight & { readonly moment: RecipeLiquid['moment'] })[];
  readonly additives: readonly Weight[];
  /** oils stirred in after the lye: not among the oils */
  readonly lateOils: readonly Weight[];
  readonly fragrances: readonly Weight[];
  /** what every dose of an addition comes to, by `doseKey` */
  readonly doses: ReadonlyMap<string, Grams>;
  readonly fragranceG: Grams;
  /** lye, water and what is dissolved with them */
  readonly solutionG: Grams;
}

/** Sums of weights on a decimal scale, free of binary dust. */
export const clean = (massG: Grams): Grams => Number(massG.toFixed(4));

/** The ingredients of a batch: everything that its ledger took from the supply. */
export function ingredientsOf(
  ledger: Ledger,
  plan: Plan,
  recipe: Recipe,
  substances: Substances,
): Ingredients {
  const all = supplied(ledger);
  const of = (id: string): Grams => clean(all.get(id) ?? 0);
  const own = plan.pots.flatMap((p) =>
    hasOwn(plan, p) && p.own?.oils
      ? usedOils({ oils: p.own.oils }).map((o) => ({
          id: o.oil.id,
          substance: SUBSTANCE.ownOil(p.id, o.line),
        }))
      : [],
  );
  const ready = plan.colorants.map((c) => ({ id: c.jarOil ?? 'jar-oil', substance: SUBSTANCE.jarOil(c.id) }));
  const common = recipe.oils.map((o) => ({ id: o.oil.id, line: o.line, substance: SUBSTANCE.oil(o.line) }));
  const nameOf = ({ id, substance }: (typeof own)[number]): string => substances.get(substance)?.name ?? id;
  const apart = grouped([...own, ...ready.filter((o) => of(o.substance) > 0)], nameOf);
  const sumOf = (list: readonly (typeof own)[number][] = []): Grams =>
    list.reduce((s, o) => s + of(o.substance), 0);
  // a pot's own oil of the recipe's kind is bought together with it
  const mine = new Set<string>();
  const oils = common.map((o) => {
    const asideG = of(SUBSTANCE.carrierOil(o.line));
    const name = nameOf(o);
    const ownG = mine.has(name) ? 0 : sumOf(apart.get(name));
    mine.add(name);
    return { id: o.id, line: o.line, name, massG: clean(of(o.substance) + asideG + ownG), asideG };
  });
  for (const [name, list] of apart)
    if (!mine.has(name) && list[0])
      oils.push({ id: list[0].id, line: name, name, massG: clean(sumOf(list)), asideG: 0 });
  const additions = additionsOf(plan.batter);
  const weights = (kind: Addition['kind']): Weight[] =>
    additions
      .filter((a) => a.kind === kind)
      .map((a) => ({ id: a.id, name: a.name, massG: of(SUBSTANCE.addition(a)) }));
  const doses = new Map<string, Grams>();
  for (const { dose, massG } of ledger.transfers)
    if (dose !== undefined) doses.set(dose, clean((doses.get(dose) ?? 0) + massG));
  const lye = everIn(ledger, VESSEL.lye);
  return {
    oilsG: clean(oils.reduce((s, o) => s + o.massG, 0)),
    oils,
    lyeG: of(SUBSTANCE.lye),
    waterG: of(SUBSTANCE.water),
    partLiquids: recipe.partLiquids.map((l) => ({
      id: l.id,
      name: l.name,
      massG: of(SUBSTANCE.liquid(l.id)),
      moment: l.moment,
    })),
    additives: weights('additive'),
    lateOils: weights('oil'),
    fragrances: weights('fragrance'),
    doses,
    fragranceG: clean(massOfKinds(all, substances, ['fragrance'])),
    solutionG: clean(massOfContents(lye)),
  };
}
