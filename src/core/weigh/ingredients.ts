import type { Recipe } from '../batter/recipe.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, toStep } from '../units/scaleStep.ts';

/** A thing to put on the scale. */
export interface Weight {
  readonly id: string;
  readonly name: string;
  readonly massG: Grams;
}

/** What a batch is mixed from, at the resolution of the scales. */
export interface Ingredients {
  readonly oilsG: Grams;
  readonly oils: readonly Weight[];
  /** rounded down to the scale's step, never up */
  readonly lyeG: Grams;
  readonly waterG: Grams;
  readonly partLiquids: readonly Weight[];
  readonly additives: readonly (Weight & { readonly into: 'lye' | 'oils' | 'trace' })[];
  readonly fragranceG: Grams;
  /** lye, water and what is dissolved with them */
  readonly solutionG: Grams;
}

const sum = (list: readonly Weight[]): Grams => list.reduce((s, w) => s + w.massG, 0);

/**
 * The ingredients of `batterG` of batter. Lye is rounded down, fine weights to the fine scale, and oils, water and
 * liquids make up the batch exactly.
 */
export function ingredientsOf(recipe: Recipe, batterG: Grams, stepG: Grams, fineG: Grams): Ingredients {
  const oilsRaw = batterG / recipe.batterPerOil;
  const lyeG = downToStep(recipe.lye * oilsRaw, stepG);
  const additives = recipe.additives.map((a) => ({
    id: a.id,
    name: a.name,
    into: a.into,
    massG: toStep(a.perOil * oilsRaw, fineG),
  }));
  const fragranceG = toStep(recipe.fragrance * oilsRaw, fineG);
  const main = roundParts(
    [
      ...recipe.oils.map((o) => o.share * oilsRaw),
      recipe.plainWater * oilsRaw,
      ...recipe.partLiquids.map((l) => l.perOil * oilsRaw),
    ],
    stepG,
    Math.max(0, batterG - lyeG - sum(additives) - fragranceG),
  );
  const count = recipe.oils.length;
  const oils = recipe.oils.map((o, i) => ({ id: o.oil.id, name: o.oil.name, massG: main[i] ?? 0 }));
  const waterG = main[count] ?? 0;
  const dissolved = sum(additives.filter((a) => a.into === 'lye'));
  return {
    oilsG: sumAtStep([sum(oils)], stepG),
    oils,
    lyeG,
    waterG,
    partLiquids: recipe.partLiquids.map((l, i) => ({
      id: l.id,
      name: l.name,
      massG: main[count + 1 + i] ?? 0,
    })),
    additives,
    fragranceG,
    solutionG: sumAtStep([lyeG, waterG, dissolved], fineG),
  };
}
