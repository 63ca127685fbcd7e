import type { StepId } from '../validate/ids.ts';
import { askSuperfat, isLyeHeavy, type SuperfatAsked } from '../ask/superfat.ts';
import { AS_PLANNED, type HappenedByPour } from '../batch/happened.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { Day } from '../day/act.ts';
import { potOfVessel } from '../day/vessel.ts';
import type { LaidPlan } from '../fill/laid.ts';
import { moundsOn } from '../fill/mounds.ts';
import {
  jugBalance,
  oilsIn,
  superfatIn,
  volumeOfContents,
  waterIn,
  type JugBalance,
  type Substances,
} from '../ledger/balance.ts';
import { massOfContents, together } from '../ledger/contents.ts';
import { leftIn, supplied, type Ledger } from '../ledger/ledger.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import { dispersionsOf, type DispersionDraw } from './dispersions.ts';
import { clean, ingredientsOf, type Ingredients, type Weight } from './ingredients.ts';
import { madeUpIn, portionIn, type Portion } from './jugs.ts';
import type { OmbreWeights } from './ombre/types.ts';
import { colorantsOfGraded, weighOmbres } from './ombre/weighOmbres.ts';
import { plannedPots } from './plannedPot.ts';
import { substancesOf } from './substances.ts';
import { targetsOf, type PotTarget, type PouredInto } from './targets.ts';
import { weighDay, type Made, type Weighed } from './weighDay.ts';

export interface PourWeight {
  readonly stepId: StepId;
  /** of the deposit: the step's own where the pour takes from one pot alone */
  readonly key: string;
  readonly into: readonly PouredInto[];
  /** into all moulds */
  readonly massG: Grams;
  readonly colorants: readonly Weight[];
  /** superfat of what is poured, as it is in the jug at that moment */
  readonly superfatPercent: Percent | undefined;
}

export interface PotWeight {
  readonly pot: Pot;
  readonly batterG: Grams;
  readonly sharePercent: Percent;
  readonly pours: readonly PourWeight[];
  readonly heldBackG: Grams;
  readonly overageG: Grams;
  readonly colorants: readonly Weight[];
  readonly portion: Portion;
  /** everything that goes into its jug, as weighed */
  readonly jug: JugBalance;
  /** as weighed, with everything in; undefined for a pot that nothing goes into */
  readonly superfatPercent: Percent | undefined;
  /** the least that any of it leaves its jug at */
  readonly leastSuperfatPercent: Percent | undefined;
  /** of its oils, carriers' counted on both sides */
  readonly waterPercent: Percent | undefined;
  readonly densityGMl: number | undefined;
}

/** Every weight of the plan at the resolution of the scales, read off its ledger. */
export interface Weights extends Ingredients {
  readonly batterG: Grams;
  readonly pots: readonly PotWeight[];
  readonly ombres: readonly OmbreWeights[];
  /** batter that stays in the jugs of the ombres' stocks */
  readonly stockLossG: Grams;
  /** batter of a given batch size that no pour takes */
  readonly spareG: Grams;
  /** superfat of all that is weighed, carrier oils among it */
  readonly superfatPercent: Percent;
  readonly ledger: Ledger;
  /** superfat of every vessel at every act, and of what leaves one */
  readonly asked: SuperfatAsked;
  readonly substances: Substances;
}

const colorantsFor = (plan: Plan, mix: Mix, batterG: Grams, fineStepG: Grams): Weight[] =>
  mix.map((m) => ({
    id: m.colorant,
    name: plan.colorants.find((c) => c.id === m.colorant)?.name ?? m.colorant,
    massG: toStep((m.doseGPerKg * batterG) / 1000, fineStepG),
  }));

/** What each pour takes now: as planned, or as an ombre has it after what was really poured. */
function amountsNow(
  pots: readonly PotTarget[],
  ombres: readonly OmbreWeights[],
  happened: HappenedByPour,
): ReadonlyMap<string, Grams> {
  const amounts = new Map(pots.flatMap((p) => p.pours.map((q) => [q.key, q.massG] as const)));
  for (const o of ombres)
    if (o.layers.some((l) => happened.has(l.shade.pourId)))
      for (const layer of o.layers) amounts.set(layer.shade.pourId, clean(layer.pouredG));
  return amounts;
}

const least = (list: readonly (Percent | undefined)[]): Percent | undefined => {
  const known = list.filter((x) => x !== undefined);
  return known.length > 0 ? Math.min(...known) : undefined;
};

/** A day weighed to its end, and what superfat everything in it has. */
interface Written extends Weighed {
  readonly asked: SuperfatAsked;
}

/**
 * The book with lye rounded down; with one step less where that alone keeps the leanest batter that leaves a
 * jug from having more lye than it can use. Where a step is not enough, the book as it was: what it says is
 * refused.
 */
function leanestKept(written: (lyeStepsOff: number) => Written): Written {
  const tooMuchLye = ({ asked }: Written): boolean =>
    asked.leaving.some((l) => isLyeHeavy(l.superfatPercent));
  const first = written(0);
  if (!tooMuchLye(first)) return first;
  const second = written(1);
  return tooMuchLye(second) ? first : second;
}

/**
 * Weigh a plan of which so much has happened otherwise: what is wanted of every pot, what that takes of each
 * colorant, and then the book of the day, every transfer in order. All weights are read off the book.
 */
export function weighPlan(
  { plan, recipes, moulds, givenBatchG }: Pick<LaidPlan, 'plan' | 'recipes' | 'moulds' | 'givenBatchG'>,
  recipe: Recipe,
  day: Day,
  happened: HappenedByPour,
): Weights {
  const stepG = plan.units.scaleStepG;
  // a bench scale finer than the fine one is used for everything
  const fineG = Math.min(plan.units.fineStepG, stepG);
  const targets = targetsOf(plan, moulds, moundsOn(plan, recipes, moulds), givenBatchG);
  const planned = weighOmbres(plan, recipes, recipe, targets.pots, fineG, AS_PLANNED);
  // the batch is made as planned; what was really poured or added changes only what comes after
  const ombres =
    happened.size > 0 ? weighOmbres(plan, recipes, recipe, targets.pots, fineG, happened) : planned;
  const massOf = (id: string): Grams => targets.pots.find((p) => p.pot.id === id)?.batterG ?? 0;
  const coloursOf = (graded: ReadonlyMap<string, readonly Weight[]>) =>
    targets.pots.map((target) => ({
      target,
      colorants: graded.get(target.pot.id) ?? colorantsFor(plan, target.pot.colorants, target.batterG, fineG),
    }));
  const gradedNow = colorantsOfGraded(ombres, massOf, fineG);
  const coloursNow = coloursOf(gradedNow);
  const coloursPlanned =
    planned === ombres ? coloursNow : coloursOf(colorantsOfGraded(planned, massOf, fineG));
  const ownColorants = coloursNow.filter((p) => !gradedNow.has(p.target.pot.id));
  const dispersions = dispersionsOf(plan, planned, ownColorants, fineG);
  const substances = substancesOf(plan, recipe);
  const ahead = plan.divide.kind === 'before-lye';
  const jugs = plannedPots(plan, recipes, recipe, coloursPlanned, planned, dispersions.draws, fineG);
  const weigh = (
    lyeStepsOff: number,
    now: readonly OmbreWeights[],
    draws: readonly DispersionDraw[],
    made?: Made,
  ): Written => {
    const bench = {
      plan,
      recipe,
      substances,
      pots: jugs,
      ombres: planned,
      dispersions,
      spareG: ahead ? 0 : targets.spareG,
      lyeStepsOff,
      stepG,
      fineG,
    };
    const amounts = amountsNow(targets.pots, now, happened);
    const weighed = weighDay({ day, bench, targets: targets.pots, amounts, draws, now }, made);
    return { ...weighed, asked: askSuperfat(weighed.ledger, substances) };
  };
  const asMeant = leanestKept((lyeStepsOff) => weigh(lyeStepsOff, planned, dispersions.draws));
  const { poured, ledger, asked } =
    planned === ombres
      ? asMeant
      : weigh(0, ombres, dispersionsOf(plan, ombres, ownColorants, fineG).draws, asMeant.made);
  const mixes = new Map(ombres.flatMap((o) => o.layers.map((l) => [l.shade.pourId, l.mix] as const)));
  const pots = coloursNow.map(({ target, colorants }): PotWeight => {
    const { pot, batterG } = target;
    const inJug = madeUpIn(ledger, pot.id);
    const jug = jugBalance(inJug, substances);
    const left = asked.leaving.filter((l) => potOfVessel(l.from) === pot.id);
    const pours = target.pours.map((q): PourWeight => {
      const from = poured.get(q.key);
      const massG = clean(from?.pouredG ?? 0);
      return {
        stepId: q.stepId,
        key: q.key,
        into: q.into.map((i) => ({ ...i, eachG: clean((from?.into.get(i.mould) ?? 0) / i.copies) })),
        massG,
        colorants: colorantsFor(plan, mixes.get(q.stepId) ?? pot.colorants, massG, fineG),
        superfatPercent: least(left.filter((l) => l.act === from?.act).map((l) => l.superfatPercent)),
      };
    });
    const superfatPercent = superfatIn(inJug, substances);
    const oilsG = oilsIn(inJug, substances);
    return {
      pot,
      batterG,
      sharePercent: targets.batterG > 0 ? (batterG / targets.batterG) * 100 : 0,
      pours,
      heldBackG: target.heldBackG,
      overageG: target.overageG,
      colorants,
      portion: portionIn(ledger, substances, pot.id),
      jug,
      superfatPercent,
      leastSuperfatPercent: least([superfatPercent, ...left.map((l) => l.superfatPercent)]),
      waterPercent: oilsG > 0 ? (waterIn(inJug, substances) / oilsG) * 100 : undefined,
      densityGMl: jug.totalG > 0 ? jug.totalG / volumeOfContents(inJug, substances) : undefined,
    };
  });
  const stockLossG = [...ledger.vessels.values()].reduce(
    (s, v) => s + (v.kind === 'stock' ? massOfContents(leftIn(ledger, v)) : 0),
    0,
  );
  // oil that stays in the stocks of portions never meets lye
  const metLye = ahead ? together(targets.pots.map((p) => madeUpIn(ledger, p.pot.id))) : supplied(ledger);
  return {
    ...ingredientsOf(ledger, plan, recipe, substances),
    batterG: targets.batterG,
    pots,
    ombres,
    stockLossG: clean(stockLossG),
    spareG: targets.spareG,
    superfatPercent: superfatIn(metLye, substances) ?? 0,
    ledger,
    asked,
    substances,
  };
}
