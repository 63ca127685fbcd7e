import { naohNeed } from '../batter/lye.ts';
import { isInLye } from '../batter/additions.ts';
import { isInSolution, solutionPerOil, type Recipe, type RecipeLiquid } from '../batter/recipe.ts';
import { plannedNeedOf } from '../ledger/balance.ts';
import { hasOwn } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, toStep, upToStep } from '../units/scaleStep.ts';
import { ACT, VESSEL } from './acts.ts';
import {
  carrierOilWanted,
  disperseAll,
  drawBlend,
  drawDispersed,
  makeStocks,
  setCarrierAside,
  stocksG,
  type WeighBench,
} from './bench.ts';
import { carrierOils } from './carrierOil.ts';
import { liquidsMaking, weighLye } from './solution.ts';
import { doseWeights } from './doseWeights.ts';
import { stirredG, type PlannedPot } from './plannedPot.ts';
import { stirIn } from './stirs.ts';
import { SUBSTANCE } from './substances.ts';

/** One jug made ready before the lye. */
interface Portion {
  readonly pot: PlannedPot;
  /** oils and lye solution together: what makes the jug up to what it is to hold; 0 where it draws from stocks */
  readonly oilsAndSolutionG: Grams;
  /** water that its own recipe wants beyond what the common solution brings */
  readonly waterG: Grams;
  readonly liquids: readonly {
    readonly id: string;
    readonly massG: Grams;
    readonly moment: RecipeLiquid['moment'];
  }[];
}

const sum = (list: readonly { readonly massG: Grams }[]): Grams => list.reduce((s, x) => s + x.massG, 0);

/** Water that lye is dissolved in or thinned with, liquids of the recipe apart, to each gram of it. */
const plainPerLye = ({ plainWater, lye }: Recipe): number => (lye > 0 ? plainWater / lye : 0);

/**
 * The solution that all jugs draw from has the water of the one that wants least; the others get the rest as water. Per gram
 * of the batch recipe's oils.
 */
function commonSolution({ recipe, pots }: WeighBench): Recipe {
  const least = Math.min(plainPerLye(recipe), ...pots.map((p) => plainPerLye(p.recipe)));
  const plainWater = pots.every((p) => p.recipe.lye > 0 && plainPerLye(p.recipe) >= plainPerLye(recipe))
    ? recipe.plainWater
    : least * recipe.lye;
  return { ...recipe, plainWater };
}

function portionOf(bench: WeighBench, solution: Recipe, pot: PlannedPot): Portion {
  const { stepG } = bench;
  const { oilsG, source, target, recipe } = pot;
  const liquids = recipe.partLiquids
    .filter((l) => !isInSolution(l))
    .map((l) => ({ id: l.id, moment: l.moment, massG: toStep(l.perOil * oilsG, stepG) }));
  const perLye = plainPerLye(recipe) - plainPerLye(solution);
  // percents of water that come out the same leave dust
  const waterG = perLye > 1e-9 ? toStep(perLye * recipe.lye * oilsG, stepG) : 0;
  const wholeG = source.kind === 'one-pot' ? source.startG + source.plainG : target.batterG - pot.dispersedG;
  const rest = wholeG - stirredG(pot) - sum(liquids) - waterG;
  return {
    pot,
    oilsAndSolutionG: source.kind === 'blend' ? 0 : Math.max(0, upToStep(rest, stepG)),
    waterG,
    liquids,
  };
}

/** The oils of a pot that does not take the recipe's. */
const ownOils = (
  { plan }: WeighBench,
  { target: { pot }, recipe, source }: PlannedPot,
): Recipe['oils'] | undefined =>
  hasOwn(plan, pot) && pot.own?.oils && source.kind !== 'blend' ? recipe.oils : undefined;

/** How much of the oil set aside is for jugs of the recipe's oils, 0..1. */
function partOfCommon(bench: WeighBench): number {
  const own = new Set(bench.pots.filter((p) => ownOils(bench, p)).map((p) => VESSEL.pot(p.target.pot.id)));
  if (own.size === 0) return 1;
  const borne = bench.dispersions.draws.filter((d) => isOilBorne(bench, d.colorant));
  const sumOf = (list: typeof borne): Grams => list.reduce((s, d) => s + d.massG - d.powderG, 0);
  const all = sumOf(borne);
  return all > 0 ? sumOf(borne.filter((d) => !own.has(d.to))) / all : 1;
}

const isOilBorne = ({ plan }: WeighBench, colorant: string): boolean =>
  plan.colorants.find((c) => c.id === colorant)?.nature?.carrier === 'oil';

/** Pure NaOH that each gram of the mixed oils and of the oil set aside can use. */
interface Needs {
  readonly mixed: number;
  readonly aside: number;
}

/**
 * The mixed oils are the recipe's without what was set aside for them, a part of it: they need a little more or less lye than
 * the recipe.
 */
function needsOf(
  { recipe }: WeighBench,
  oilsG: Grams,
  carriers: ReadonlyMap<string, Grams>,
  part: number,
): Needs {
  const all = recipe.oils.map((o) => ({
    need: naohNeed(o.svMgG),
    asideG: carriers.get(o.line) ?? 0,
    massG: o.share * oilsG,
  }));
  const takenG = all.reduce((s, o) => s + o.asideG, 0);
  const mixedOf = (o: (typeof all)[number]): Grams => o.massG - o.asideG * part;
  const mixedG = all.reduce((s, o) => s + mixedOf(o), 0);
  return {
    mixed: mixedG > 0 ? all.reduce((s, o) => s + mixedOf(o) * o.need, 0) / mixedG : 0,
    aside: takenG > 0 ? all.reduce((s, o) => s + o.asideG * o.need, 0) / takenG : 0,
  };
}

/**
 * Portions made ready before the lye. Every jug has its own oils, additives, colour and scent; then lye solution is weighed
 * into it, rounded down against the oils that are in the jug by then, and the oils make the jug up. The solution is made of
 * what the jugs draw, its lye rounded down so that no jug gets more than its oils can use beyond the superfat.
 */
export function weighPortions(bench: WeighBench): void {
  const { plan, recipe, substances, book, draws, stepG, fineG } = bench;
  const solution = commonSolution(bench);
  const portions = bench.pots.map((p) => portionOf(bench, solution, p));
  const usable = (1 - plan.batter.superfatPercent / 100) / (plan.batter.purityPercent / 100);
  const strength = recipe.lye / solutionPerOil(solution);
  const carrierG = carrierOilWanted(bench);
  const about = bench.pots.reduce((s, p) => s + (ownOils(bench, p) ? 0 : p.oilsG), 0);
  const part = partOfCommon(bench);
  // a jug with oils of its own takes its colours from the same bottle, which is not part of the mixed oils
  const carriers = carrierOils(recipe, part < 1 ? Infinity : about, carrierG, fineG);
  const needs = needsOf(bench, about, carriers, part);
  /** g of solution for each g of pure NaOH that a jug can use */
  const perNeed = usable / strength;
  /** pure NaOH that a gram of the oil a colorant is dispersed in can use: as set aside, or as it is in its jar */
  const needOfCarrier = (colorant: string): number =>
    substances.get(SUBSTANCE.jarOil(colorant))?.needsNaoh ?? needs.aside;
  /** pure NaOH that the oil of colorants can use that is in the jug by its first pour, g: those it is made up with, or those of its first pass */
  const borneNeed = ({ pot }: Portion, acts: readonly string[]): Grams =>
    draws
      .filter(
        (d) =>
          acts.includes(d.act) && d.to === VESSEL.pot(pot.target.pot.id) && isOilBorne(bench, d.colorant),
      )
      .reduce((s, d) => s + (d.massG - d.powderG) * needOfCarrier(d.colorant), 0);
  const firstPass = ({ pot }: Portion): string => ACT.pass(pot.target.pours[0]?.stepId ?? '');
  const solutionFor = (portion: Portion): Grams => {
    const { pot, oilsAndSolutionG } = portion;
    const asideNeed = borneNeed(portion, [ACT.pot(pot.target.pot.id), firstPass(portion)]);
    const need = ownOils(bench, pot) ? pot.recipe.fullNeed : needs.mixed;
    const exact = (perNeed * (oilsAndSolutionG * need + asideNeed)) / (1 + perNeed * need);
    return downToStep(exact, stepG);
  };
  const jugs = portions.map((p) => {
    const solutionG = solutionFor(p);
    return { ...p, solutionG, oilsG: sumAtStep([p.oilsAndSolutionG - solutionG], stepG) };
  });
  const fromCommon = jugs.filter((j) => !ownOils(bench, j.pot));
  const mixedG = sumAtStep([...fromCommon.map((p) => p.oilsG), stocksG(bench)], stepG);
  setCarrierAside(bench, carriers);
  const raw = recipe.oils.map((o) =>
    Math.max(0, o.share * (mixedG + carrierG * part) - (carriers.get(o.line) ?? 0) * part),
  );
  (mixedG > 0 ? roundParts(raw, stepG, mixedG) : []).forEach((massG, i) => {
    const used = recipe.oils[i];
    if (used) book.add(ACT.oils, SUBSTANCE.oil(used.line), VESSEL.oils, massG, false);
  });
  disperseAll(bench);
  makeStocks(bench);
  for (const { pot, oilsG, waterG, liquids } of jugs) {
    const { id } = pot.target.pot;
    const act = ACT.pot(id);
    const own = ownOils(bench, pot);
    if (own)
      roundParts(
        own.map((o) => o.share * oilsG),
        stepG,
        oilsG,
      ).forEach((massG, i) => {
        const line = own[i]?.line;
        if (line !== undefined) book.add(act, SUBSTANCE.ownOil(id, line), VESSEL.pot(id), massG, false);
      });
    else book.move(act, VESSEL.oils, VESSEL.pot(id), oilsG, false);
    drawBlend(bench, pot);
    drawDispersed(bench, act);
    book.add(act, SUBSTANCE.water, VESSEL.pot(id), waterG, false);
    for (const l of liquids)
      if (l.moment === 'oils') book.add(act, SUBSTANCE.liquid(l.id), VESSEL.pot(id), l.massG, false);
    stirIn(
      book,
      act,
      VESSEL.pot(id),
      pot.stirs.filter((x) => x.moment === 'jug'),
    );
  }

  // the lye of the whole solution gives way to the jug that may have least
  const combined = jugs.map((j) => {
    const soon = borneNeed(j, [firstPass(j)]);
    const need = plannedNeedOf(book.holds(VESSEL.pot(j.pot.target.pot.id)), substances) + soon;
    const lyeG = need * usable;
    const fromStocks = j.pot.source.kind === 'blend';
    return { ...j, lyeG, solutionG: fromStocks ? downToStep(lyeG / strength, stepG) : j.solutionG };
  });
  const solutionG = sumAtStep(
    combined.map((j) => j.solutionG),
    stepG,
  );
  const allowed = combined.reduce(
    (least, j) => (j.solutionG > 0 ? Math.min(least, j.lyeG / j.solutionG) : least),
    strength,
  );
  const lyeG = downToStep(allowed * solutionG, stepG);
  const oilsG = solutionG / solutionPerOil(solution);
  const dissolved = doseWeights(
    { ...recipe, doses: recipe.doses.filter((d) => isInLye(d.dose.moment)) },
    oilsG,
    fineG,
  );
  const withLye = liquidsMaking(
    { ...bench, recipe: { ...solution, partLiquids: recipe.partLiquids.filter(isInSolution) } },
    oilsG,
    solutionG - lyeG - sum(dissolved),
  );
  weighLye(bench, lyeG, withLye, dissolved);
  for (const { pot, liquids, solutionG: drawnG } of combined) {
    const { id } = pot.target.pot;
    const act = ACT.combine(id);
    book.move(act, VESSEL.lye, VESSEL.pot(id), drawnG, false);
    for (const l of liquids)
      if (l.moment === 'emulsion') book.add(act, SUBSTANCE.liquid(l.id), VESSEL.pot(id), l.massG, false);
    stirIn(
      book,
      ACT.potEmulsion(id),
      VESSEL.pot(id),
      pot.stirs.filter((x) => x.moment === 'emulsion'),
    );
    if (pot.source.kind === 'one-pot')
      book.move(act, VESSEL.pot(id), VESSEL.plain(id), pot.source.plainG, false);
  }
}
