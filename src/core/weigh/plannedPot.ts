import type { StirMoment } from '../batter/moments.ts';
import type { OmbreId, PotId } from '../validate/ids.ts';
import type { Recipe } from '../batter/recipe.ts';
import { makeupOf } from '../fill/makeup.ts';
import { VESSEL } from '../day/vessel.ts';
import type { OpenLedger } from '../ledger/ledger.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import type { DispersionDraw } from './dispersions.ts';
import type { Weight } from './ingredients.ts';
import type { OmbreWeights } from './ombre/types.ts';
import { partsOf, stirIn, stirsOf, type PotPart, type Stir } from './stirs.ts';
import type { PotTarget } from './targets.ts';

/**
 * How a pot is filled: out of the batch, as the start of a pot coloured as it empties, or from two stocks.
 */
export type PotSource =
  | { readonly kind: 'own' }
  | { readonly kind: 'one-pot'; readonly startG: Grams; readonly plainG: Grams }
  | {
      readonly kind: 'blend';
      readonly ombre: OmbreId;
      readonly firstG: Grams;
      readonly lastG: Grams;
      readonly mix: Mix;
    };

/** One pot with everything that decides what goes into it. */
export interface PlannedPot {
  readonly target: PotTarget;
  readonly colorants: readonly Weight[];
  readonly source: PotSource;
  /** dispersed colorant stirred in when it is made up */
  readonly dispersedG: Grams;
  /** what it is made by, with all that is stirred into it */
  readonly recipe: Recipe;
  /** oils of the recipe that it stands for, its carrier oil included, g: doses go by these */
  readonly oilsG: Grams;
  /** what it gets by itself besides oils, lye and colour */
  readonly stirs: readonly Stir[];
}

export function sourceOf(ombres: readonly OmbreWeights[], potId: PotId): PotSource {
  for (const o of ombres) {
    if (o.school === 'one-pot') {
      const pot = o.pots.find((p) => p.pot.id === potId);
      if (pot) return { kind: 'one-pot', startG: pot.startG, plainG: pot.plainG };
    }
    if (o.school === 'master-blends') {
      const draw = o.draws.find((d) => d.pot.id === potId);
      const mix = o.layers.find((l) => l.pot.id === potId)?.mix ?? [];
      if (draw) return { kind: 'blend', ombre: o.ombre.id, firstG: draw.firstG, lastG: draw.lastG, mix };
    }
  }
  return { kind: 'own' };
}

/**
 * The pots that anything goes into, as they are planned: what is really done since changes nothing of how
 * they are made up.
 */
export function plannedPots(
  plan: Plan,
  recipes: Recipes,
  batch: Recipe,
  pots: readonly { readonly target: PotTarget; readonly colorants: readonly Weight[] }[],
  ombres: readonly OmbreWeights[],
  draws: readonly DispersionDraw[],
  fineG: Grams,
): readonly PlannedPot[] {
  return pots
    .filter(({ target }) => target.batterG > 0)
    .map(({ target, colorants }): PlannedPot => {
      const source = sourceOf(ombres, target.pot.id);
      const { batterG } = target;
      const dispersedG = draws
        .filter((d) => d.for.kind === 'pot' && d.for.pot === target.pot.id)
        .reduce((s, d) => s + d.massG, 0);
      const recipe = recipes.ofPot(target.pot.id) ?? batch;
      const mix =
        source.kind === 'blend'
          ? source.mix
          : colorants.map((c) => ({ colorant: c.id, doseGPerKg: (c.massG / batterG) * 1000 }));
      const parts = partsOf(plan, target, recipes, batch);
      // a pot coloured as it empties stands for the oils of what it starts with; its colorants come later
      const startG = source.kind === 'one-pot' ? source.startG + source.plainG : 0;
      const oilsOf = (part: PotPart): Grams =>
        source.kind === 'one-pot'
          ? ((part.massG / batterG) * startG) / part.recipe.batterPerOil
          : part.massG * makeupOf(plan, part.recipe, mix).oils;
      const oilsOfParts = parts.map(oilsOf);
      return {
        target,
        colorants,
        source,
        dispersedG,
        recipe,
        oilsG: oilsOfParts.reduce((s, g) => s + g, 0),
        stirs: stirsOf(plan, recipe, parts, oilsOfParts, fineG),
      };
    });
}

/** g of all that a pot gets by itself. */
export const stirredG = ({ stirs }: PlannedPot): Grams => stirs.reduce((s, x) => s + x.massG, 0);

/** Plain batter kept aside for it, g. */
export const plainOf = ({ source }: PlannedPot): Grams => (source.kind === 'one-pot' ? source.plainG : 0);

/** What a pot gets by itself at one moment, all into its jug. */
export function stirInAt(
  book: OpenLedger,
  { target, stirs }: PlannedPot,
  moment: Exclude<StirMoment, 'pour'>,
): void {
  stirIn(
    book,
    VESSEL.pot(target.pot.id),
    stirs.filter((s) => s.moment === moment),
  );
}
