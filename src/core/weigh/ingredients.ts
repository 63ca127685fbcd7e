import { additionsOf, type Addition } from '../batter/additions.ts';
import type { Recipe, RecipeLiquid } from '../batter/recipe.ts';
import { massOfKinds, type Substances } from '../ledger/balance.ts';
import { massOfContents } from '../ledger/contents.ts';
import { everIn, supplied, type Ledger } from '../ledger/ledger.ts';
import type { Plan } from '../plan/planSchema.ts';
import { hasOwn } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import { VESSEL } from './acts.ts';
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
    hasOwn(plan, p)
      ? (p.own?.oils ?? []).map((o) => ({ oil: o.oil, id: SUBSTANCE.ownOil(p.id, o.oil) }))
      : [],
  );
  const ids = [...new Set([...recipe.oils.map((o) => o.oil.id), ...own.map((o) => o.oil)])];
  const oils = ids.map((oil) => {
    const asideG = of(SUBSTANCE.carrierOil(oil));
    const mine = own.filter((o) => o.oil === oil);
    const name = [SUBSTANCE.oil(oil), ...mine.map((o) => o.id)].flatMap(
      (id) => substances.get(id)?.name ?? [],
    )[0];
    const ownG = mine.reduce((s, o) => s + of(o.id), 0);
    return {
      id: oil,
      name: name ?? oil,
      massG: clean(of(SUBSTANCE.oil(oil)) + asideG + ownG),
      asideG,
    };
  });
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
