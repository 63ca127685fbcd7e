import type { Recipe } from '../batter/recipe.ts';
import { massOfKinds, type Substances } from '../ledger/balance.ts';
import { massOfContents } from '../ledger/contents.ts';
import { everIn, supplied, type Ledger } from '../ledger/ledger.ts';
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
  readonly partLiquids: readonly (Weight & { readonly frozen: boolean })[];
  readonly additives: readonly (Weight & { readonly into: 'lye' | 'oils' | 'trace' })[];
  readonly fragranceG: Grams;
  /** lye, water and what is dissolved with them */
  readonly solutionG: Grams;
}

/** Sums of weights on a decimal scale, free of binary dust. */
export const clean = (massG: Grams): Grams => Number(massG.toFixed(4));

/** The ingredients of a batch: everything that its ledger took from the supply. */
export function ingredientsOf(ledger: Ledger, recipe: Recipe, substances: Substances): Ingredients {
  const all = supplied(ledger);
  const of = (id: string): Grams => clean(all.get(id) ?? 0);
  const oils = recipe.oils.map(({ oil }) => {
    const asideG = of(SUBSTANCE.carrierOil(oil.id));
    return { id: oil.id, name: oil.name, massG: clean(of(SUBSTANCE.oil(oil.id)) + asideG), asideG };
  });
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
      frozen: l.frozen,
    })),
    additives: recipe.additives.map((a) => ({
      id: a.id,
      name: a.name,
      into: a.into,
      massG: of(SUBSTANCE.additive(a.id)),
    })),
    fragranceG: clean(massOfKinds(all, substances, ['fragrance'])),
    solutionG: clean(massOfContents(lye)),
  };
}
