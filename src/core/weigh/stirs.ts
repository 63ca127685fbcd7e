import type { StepId } from '../validate/ids.ts';
import { isInLye, isInPot } from '../batter/additions.ts';
import { dosesPerOil, type Recipe, type RecipeDose } from '../batter/recipe.ts';
import type { OpenLedger } from '../ledger/ledger.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import type { PotTarget } from './targets.ts';
import { doseKey, SUBSTANCE } from './substances.ts';

/** When one pot gets something by itself: as it is made up, as it is coloured, once it holds, once it has thickened, or before a pour. */
export type StirMoment = 'jug' | 'colour' | 'emulsion' | 'trace' | 'pour';

/** Something stirred into one pot by itself. */
export interface Stir {
  readonly key: string;
  readonly substance: string;
  readonly massG: Grams;
  readonly moment: StirMoment;
  /** the pour it comes before */
  readonly pourId?: StepId;
  /** into a cup, for that pour alone; otherwise into all that is in the jug */
  readonly cup?: boolean;
}

/** What a pot holds, part by part: its pours in order, and last what is held back and what is mixed beyond. */
export interface PotPart {
  readonly pourId: StepId | undefined;
  readonly massG: Grams;
  readonly recipe: Recipe;
}

export function partsOf(target: PotTarget, recipes: Recipes, fallback: Recipe): readonly PotPart[] {
  const pours = target.pours.map((p): PotPart => ({
    pourId: p.stepId,
    massG: p.freshG,
    recipe: recipes.ofPour(p.stepId, target.pot.id) ?? fallback,
  }));
  const pouredG = pours.reduce((s, p) => s + p.massG, 0);
  const last = pours.at(-1)?.recipe ?? recipes.ofPot(target.pot.id) ?? fallback;
  return [...pours, { pourId: undefined, massG: Math.max(0, target.batterG - pouredG), recipe: last }];
}

/** Whether a pot gets a dose by itself; otherwise it comes with the batch or with the lye. */
export const isOwn = (plan: Plan, { dose }: RecipeDose): boolean =>
  plan.divide.kind === 'before-lye' ? !isInLye(dose.moment) : dose.pots !== undefined || isInPot(dose.moment);

function momentOf(plan: Plan, { dose }: RecipeDose, poured: boolean): StirMoment {
  // a portion has its colour in its oils
  const coloured = plan.divide.kind === 'before-lye' ? 'jug' : 'colour';
  if (dose.moment === 'pour') return poured ? 'pour' : coloured;
  if (dose.moment === 'colour') return coloured;
  if (dose.moment === 'trace') return 'trace';
  return dose.moment === 'emulsion' && plan.divide.kind === 'before-lye' ? 'emulsion' : 'jug';
}

/** What one pot is to get besides its oils, lye and colour; `oilsG` are the recipe's oils in each of its parts. */
export function stirsOf(
  plan: Plan,
  recipe: Recipe,
  parts: readonly PotPart[],
  oilsG: readonly Grams[],
  fineG: Grams,
): readonly Stir[] {
  const pours = parts.filter((p) => p.pourId !== undefined && p.massG > 0).map((p) => p.pourId as string);
  const sumFrom = (first: number): Grams => oilsG.slice(first).reduce((s, g) => s + g, 0);
  return recipe.doses
    .filter((d) => isOwn(plan, d))
    .flatMap((d): Stir[] => {
      const moment = momentOf(plan, d, pours.length > 0);
      const base = { key: doseKey(d), substance: SUBSTANCE.addition(d.addition), moment };
      const of = (oils: Grams): Grams => toStep(d.perOil * oils, fineG);
      const { fromPour } = d.dose;
      if (fromPour !== undefined) {
        const place = parts.findIndex((p) => p.pourId === fromPour);
        return [{ ...base, moment: 'pour', pourId: fromPour, massG: of(sumFrom(Math.max(0, place))) }];
      }
      if (moment !== 'pour') return [{ ...base, massG: of(sumFrom(0)) }];
      return pours.map((pourId, nth): Stir => {
        const place = parts.findIndex((p) => p.pourId === pourId);
        const last = nth === pours.length - 1;
        // what is left after the last pour goes with it: the top is spooned from the same jug
        const massG = of(last ? sumFrom(place) : (oilsG[place] ?? 0));
        return { ...base, pourId, massG, cup: !last };
      });
    })
    .filter((s) => s.massG > 0);
}

/** Put what a moment asks for into a vessel. */
export function stirIn(
  book: OpenLedger,
  act: string,
  to: string,
  stirs: readonly Pick<Stir, 'key' | 'substance' | 'massG'>[],
): void {
  for (const s of stirs) book.add(act, s.substance, to, s.massG, true, s.key);
}

/** g of everything that a pot gets by itself, per gram of the recipe's oils. */
export const ownPerOil = (plan: Plan, recipe: Recipe): number => dosesPerOil(recipe, (d) => isOwn(plan, d));
