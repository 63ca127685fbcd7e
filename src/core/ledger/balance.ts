import type { Grams, Millilitres, Percent } from '../units/quantity.ts';
import { massOfContents, type Contents } from './contents.ts';
import type { Substance, SubstanceKind } from './substance.ts';

export type Substances = ReadonlyMap<string, Substance>;

const sumOf = (contents: Contents, known: Substances, of: (s: Substance) => number): number => {
  let sum = 0;
  for (const [id, massG] of contents) {
    const substance = known.get(id);
    if (substance) sum += massG * of(substance);
  }
  return sum;
};

/** Grams of the given kinds. */
export const massOfKinds = (contents: Contents, known: Substances, kinds: readonly SubstanceKind[]): Grams =>
  sumOf(contents, known, (s) => (kinds.includes(s.kind) ? 1 : 0));

/** Pure NaOH that everything in it could use up, g. */
export const needOf = (contents: Contents, known: Substances): Grams =>
  sumOf(contents, known, (s) => s.needsNaoh);

/** Pure NaOH that the oils it is reckoned for could use up, g: an oil stirred in late is on top of them. */
export const plannedNeedOf = (contents: Contents, known: Substances): Grams =>
  sumOf(contents, known, (s) => (s.kind === 'late-oil' ? 0 : s.needsNaoh));

/**
 * Superfat of a vessel as weighed, percent of what its oils could use; negative when there is more lye than
 * they can. Undefined where there is no oil, or no lye yet.
 */
export function superfatIn(contents: Contents, known: Substances): Percent | undefined {
  const need = needOf(contents, known);
  const naoh = sumOf(contents, known, (s) => s.bringsNaoh);
  return need > 0 && naoh > 0 ? (1 - naoh / need) * 100 : undefined;
}

/** All oils in it, those that colorants came in among them. */
export const oilsIn = (contents: Contents, known: Substances): Grams =>
  sumOf(contents, known, (s) => (s.needsNaoh > 0 ? 1 : 0));

export const waterIn = (contents: Contents, known: Substances): Grams =>
  sumOf(contents, known, (s) => s.water);

/** Volumes add up: an assumption, good to about 1 % for these mixtures. */
export const volumeOfContents = (contents: Contents, known: Substances): Millilitres =>
  sumOf(contents, known, (s) => 1 / s.densityGMl);

/** The balance of one jug: what it is made of, and its total. */
export interface JugBalance {
  readonly oilsG: Grams;
  /** oils stirred in after the lye */
  readonly lateOilsG: Grams;
  /** lye, water, a frozen liquid the lye was dissolved in, and what is dissolved with them */
  readonly lyeSolutionG: Grams;
  readonly partLiquidsG: Grams;
  readonly additivesG: Grams;
  readonly colorantsG: Grams;
  /** what colorants are dispersed in, oil or not */
  readonly carrierG: Grams;
  readonly fragranceG: Grams;
  readonly totalG: Grams;
}

export const jugBalance = (contents: Contents, known: Substances): JugBalance => {
  const of = (...kinds: SubstanceKind[]): Grams => massOfKinds(contents, known, kinds);
  return {
    oilsG: of('oil'),
    lateOilsG: of('late-oil'),
    lyeSolutionG: of('lye', 'water', 'dissolved'),
    partLiquidsG: of('liquid'),
    additivesG: of('additive'),
    colorantsG: of('colorant'),
    carrierG: of('carrier'),
    fragranceG: of('fragrance'),
    totalG: massOfContents(contents),
  };
};
