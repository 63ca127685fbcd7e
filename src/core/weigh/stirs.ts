import { isInLye, isInPot, MOMENT, type StirMoment } from '../batter/moments.ts';
import type { StepId } from '../validate/ids.ts';
import { dosesPerOil, type Recipe, type RecipeDose } from '../batter/recipe.ts';
import type { Vessel } from '../day/vessel.ts';
import { grouped } from '../ledger/grouped.ts';
import type { OpenLedger } from '../ledger/ledger.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Recipes } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import type { PotTarget } from './targets.ts';
import { doseKey, SUBSTANCE } from './substances.ts';

/** Something stirred into one pot by itself. */
export interface Stir {
  readonly key: string;
  readonly substance: string;
  readonly massG: Grams;
  readonly moment: StirMoment;
  /** the step it comes before: a pour, or what fills a mat's hollows or a column's hole */
  readonly before?: StepId;
  /** into a cup, for that step alone; otherwise into all that is in the jug */
  readonly cup?: boolean;
}

/**
 * What a pot holds, part by part: what is drawn of it step by step, and last what is held back beyond and
 * what is mixed beyond.
 */
export interface PotPart {
  readonly step: StepId | undefined;
  readonly massG: Grams;
  readonly recipe: Recipe;
}

/**
 * The parts of a pot in the order they leave its jug: hollows of a mat, pours, and holes of columns that are
 * pulled before its last pour. What is drawn after that is of the jug as the last pour leaves it.
 */
export function partsOf(
  plan: Plan,
  target: PotTarget,
  recipes: Recipes,
  fallback: Recipe,
): readonly PotPart[] {
  const { pot, pours, mounds, held, batterG } = target;
  const at = (id: StepId): number => plan.steps.findIndex((s) => s.id === id);
  const lastPour = Math.max(-1, ...pours.map((p) => at(p.stepId)));
  const drawn = [
    ...mounds.flatMap((m) =>
      m.when === 'first' ? [{ step: m.stepId, place: -1, massG: m.eachG * m.copies }] : [],
    ),
    ...pours.map((p) => ({ step: p.stepId, place: at(p.stepId), massG: p.freshG })),
    ...held.flatMap(({ pulled }) =>
      pulled && at(pulled.stepId) < lastPour
        ? [{ step: pulled.stepId, place: at(pulled.stepId), massG: pulled.massG }]
        : [],
    ),
  ].toSorted((a, b) => a.place - b.place);
  const parts = [...grouped(drawn, (d) => d.step)].map(([step, list]): PotPart => ({
    step,
    massG: list.reduce((s, d) => s + d.massG, 0),
    recipe: recipes.ofPour(step, pot.id) ?? fallback,
  }));
  const drawnG = parts.reduce((s, p) => s + p.massG, 0);
  const last = parts.at(-1)?.recipe ?? recipes.ofPot(pot.id) ?? fallback;
  return [...parts, { step: undefined, massG: Math.max(0, batterG - drawnG), recipe: last }];
}

/** Whether a pot gets a dose by itself; otherwise it comes with the batch or with the lye. */
export const isOwn = (plan: Plan, { dose }: RecipeDose): boolean =>
  plan.divide.kind === 'before-lye' ? !isInLye(dose.moment) : dose.pots !== undefined || isInPot(dose.moment);

/** When a pot gets a dose that it gets by itself. One that nothing is poured of gets it with its colour. */
function momentOf(plan: Plan, { dose }: RecipeDose, poured: boolean): StirMoment {
  const way = plan.divide.kind === 'before-lye' ? 'ofPortion' : 'ofBatch';
  const { own } = MOMENT[dose.moment];
  return own[way] === 'pour' && !poured ? MOMENT.colour.own[way] : own[way];
}

/**
 * What one pot is to get besides its oils, lye and colour; `oilsG` are the recipe's oils in each of its
 * parts.
 */
export function stirsOf(
  plan: Plan,
  recipe: Recipe,
  parts: readonly PotPart[],
  oilsG: readonly Grams[],
  fineG: Grams,
): readonly Stir[] {
  const steps = parts.flatMap((p) => (p.step !== undefined && p.massG > 0 ? [p.step] : []));
  const sumFrom = (first: number): Grams => oilsG.slice(first).reduce((s, g) => s + g, 0);
  return recipe.doses
    .filter((d) => isOwn(plan, d))
    .flatMap((d): Stir[] => {
      const moment = momentOf(plan, d, steps.length > 0);
      const base = { key: doseKey(d), substance: SUBSTANCE.addition(d.addition), moment };
      const of = (oils: Grams): Grams => toStep(d.perOil * oils, fineG);
      const { fromPour } = d.dose;
      if (fromPour !== undefined) {
        const place = parts.findIndex((p) => p.step === fromPour);
        return [{ ...base, moment: 'pour', before: fromPour, massG: of(sumFrom(Math.max(0, place))) }];
      }
      if (moment !== 'pour') return [{ ...base, massG: of(sumFrom(0)) }];
      return steps.map((before, nth): Stir => {
        const place = parts.findIndex((p) => p.step === before);
        const last = nth === steps.length - 1;
        // what is left after the last pour goes with it: the top is spooned from the same jug
        const massG = of(last ? sumFrom(place) : (oilsG[place] ?? 0));
        return { ...base, before, massG, cup: !last };
      });
    })
    .filter((s) => s.massG > 0);
}

/** Put what a moment asks for into a vessel. */
export function stirIn(
  book: OpenLedger,
  to: Vessel,
  stirs: readonly Pick<Stir, 'key' | 'substance' | 'massG'>[],
): void {
  for (const s of stirs) book.add(s.substance, to, s.massG, true, s.key);
}

/** g of everything that a pot gets by itself, per gram of the recipe's oils. */
export const ownPerOil = (plan: Plan, recipe: Recipe): number => dosesPerOil(recipe, (d) => isOwn(plan, d));
