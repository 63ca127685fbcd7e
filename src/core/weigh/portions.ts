import { isInLye } from '../batter/moments.ts';
import { naohNeed } from '../batter/lye.ts';
import { isInSolution, solutionPerOil, type Recipe, type RecipeLiquid } from '../batter/recipe.ts';
import { VESSEL } from '../day/vessel.ts';
import { plannedNeedOf } from '../ledger/balance.ts';
import { hasOwn } from '../plan/recipes.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, toStep, upToStep } from '../units/scaleStep.ts';
import type { PotId } from '../validate/ids.ts';
import {
  carrierOilWanted,
  drawBlend,
  drawDispersed,
  drawsFor,
  setAside,
  stocksG,
  type WeighBench,
  type Weighing,
} from './bench.ts';
import { carrierOils } from './carrierOil.ts';
import type { DrawnFor } from './dispersions.ts';
import { doseWeights } from './doseWeights.ts';
import { stirInAt, stirredG, type PlannedPot } from './plannedPot.ts';
import { liquidsMaking, type LyeSolution } from './solution.ts';
import { SUBSTANCE } from './substances.ts';

/** One jug made ready before the lye. */
interface PlannedPortion {
  readonly pot: PlannedPot;
  /**
   * oils and lye solution together: what makes the jug up to what it is to hold; 0 where it draws from stocks
   */
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
 * The solution that all jugs draw from has the water of the one that wants least; the others get the rest as
 * water. Per gram of the batch recipe's oils.
 */
function commonSolution({ recipe, pots }: WeighBench): Recipe {
  const least = Math.min(plainPerLye(recipe), ...pots.map((p) => plainPerLye(p.recipe)));
  const plainWater = pots.every((p) => p.recipe.lye > 0 && plainPerLye(p.recipe) >= plainPerLye(recipe))
    ? recipe.plainWater
    : least * recipe.lye;
  return { ...recipe, plainWater };
}

function portionOf(bench: WeighBench, solution: Recipe, pot: PlannedPot): PlannedPortion {
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
  const own = new Set(
    bench.pots.filter((p) => ownOils(bench, p)).map((p) => VESSEL.pot(p.target.pot.id).key),
  );
  if (own.size === 0) return 1;
  const borne = bench.dispersions.draws.filter((d) => isOilBorne(bench, d.colorant));
  const sumOf = (list: typeof borne): Grams => list.reduce((s, d) => s + d.massG - d.powderG, 0);
  const all = sumOf(borne);
  return all > 0 ? sumOf(borne.filter((d) => !own.has(d.to.key))) / all : 1;
}

const isOilBorne = ({ plan }: WeighBench, colorant: string): boolean =>
  plan.colorants.find((c) => c.id === colorant)?.nature?.carrier === 'oil';

/** Pure NaOH that each gram of the mixed oils and of the oil set aside can use. */
interface Needs {
  readonly mixed: number;
  readonly aside: number;
}

/**
 * The mixed oils are the recipe's without what was set aside for them, a part of it: they need a little more
 * or less lye than the recipe.
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

/** One jug, and what it gets of oils and of lye solution. */
interface Jug extends PlannedPortion {
  readonly oilsG: Grams;
  readonly solutionG: Grams;
}

/** What portions are made of, before anything is weighed. */
export interface Portions {
  readonly kind: 'portions';
  /** of each oil for the colorants, by its line */
  readonly aside: ReadonlyMap<string, Grams>;
  /** mixed oils, in the recipe's order */
  readonly oils: readonly Grams[];
  readonly jugs: readonly Jug[];
  /** what the common lye solution is made by */
  readonly solution: Recipe;
}

/** The lye of portions, once all of them stand ready. */
export interface LyeOfPortions extends LyeSolution {
  /** solution that each jug gets */
  readonly drawnG: ReadonlyMap<PotId, Grams>;
}

/** Lye for each gram of pure NaOH that oils can use. */
const usableOf = ({ plan }: WeighBench): number =>
  (1 - plan.batter.superfatPercent / 100) / (plan.batter.purityPercent / 100);

/** Lye in each gram of the solution. */
const strengthOf = ({ recipe }: WeighBench, solution: Recipe): number =>
  recipe.lye / solutionPerOil(solution);

/**
 * Pure NaOH that oil of colorants can use that is in the jug by its first pour, g: of those that are drawn
 * for these things.
 */
function borneNeed(
  bench: WeighBench,
  pot: PlannedPot,
  asideNeed: number,
  things: readonly DrawnFor[],
): Grams {
  // as set aside, or as it is in its jar
  const needOf = (colorant: string): number =>
    bench.substances.get(SUBSTANCE.jarOil(colorant))?.needsNaoh ?? asideNeed;
  const jug = VESSEL.pot(pot.target.pot.id);
  return things
    .flatMap((what) => drawsFor(bench.dispersions.draws, what))
    .filter((d) => d.to.key === jug.key && isOilBorne(bench, d.colorant))
    .reduce((s, d) => s + (d.massG - d.powderG) * needOf(d.colorant), 0);
}

const firstPass = ({ target }: PlannedPot): DrawnFor => ({
  kind: 'pass',
  pour: target.pours[0]?.stepId ?? '',
});

/** What is set aside and mixed, and what pure NaOH a gram of either can use. */
function oilsAndNeeds(bench: WeighBench): {
  readonly carrierG: Grams;
  readonly part: number;
  readonly carriers: ReadonlyMap<string, Grams>;
  readonly needs: Needs;
} {
  const { recipe, fineG } = bench;
  const carrierG = carrierOilWanted(bench);
  const about = bench.pots.reduce((s, p) => s + (ownOils(bench, p) ? 0 : p.oilsG), 0);
  const part = partOfCommon(bench);
  // a jug with oils of its own takes its colours from the same bottle, which is not part of the mixed oils
  const carriers = carrierOils(recipe, part < 1 ? Infinity : about, carrierG, fineG);
  return { carrierG, part, carriers, needs: needsOf(bench, about, carriers, part) };
}

/**
 * Portions made ready before the lye. Every jug has its own oils, additives, colour and scent; then lye
 * solution is weighed into it, rounded down against the oils that are in the jug by then, and the oils make
 * the jug up.
 */
export function portionsOf(bench: WeighBench): Portions {
  const { recipe, stepG } = bench;
  const solution = commonSolution(bench);
  const { carrierG, part, carriers, needs } = oilsAndNeeds(bench);
  /** g of solution for each g of pure NaOH that a jug can use */
  const perNeed = usableOf(bench) / strengthOf(bench, solution);
  const solutionFor = ({ pot, oilsAndSolutionG }: PlannedPortion): Grams => {
    const own: DrawnFor = { kind: 'pot', pot: pot.target.pot.id };
    const asideNeed = borneNeed(bench, pot, needs.aside, [own, firstPass(pot)]);
    const need = ownOils(bench, pot) ? pot.recipe.fullNeed : needs.mixed;
    const exact = (perNeed * (oilsAndSolutionG * need + asideNeed)) / (1 + perNeed * need);
    return downToStep(exact, stepG);
  };
  const jugs = bench.pots.map((p): Jug => {
    const portion = portionOf(bench, solution, p);
    const solutionG = solutionFor(portion);
    return { ...portion, solutionG, oilsG: sumAtStep([portion.oilsAndSolutionG - solutionG], stepG) };
  });
  const fromCommon = jugs.filter((j) => !ownOils(bench, j.pot));
  const mixedG = sumAtStep([...fromCommon.map((p) => p.oilsG), stocksG(bench)], stepG);
  const raw = recipe.oils.map((o) =>
    Math.max(0, o.share * (mixedG + carrierG * part) - (carriers.get(o.line) ?? 0) * part),
  );
  return {
    kind: 'portions',
    aside: setAside(bench, carriers),
    oils: mixedG > 0 ? roundParts(raw, stepG, mixedG) : [],
    jugs,
    solution,
  };
}

const jugOf = ({ jugs }: Portions, id: PotId): Jug | undefined =>
  jugs.find((j) => j.pot.target.pot.id === id);

/** A portion made ready, but for its lye. */
export function makePortion(w: Weighing, portions: Portions, id: PotId): void {
  const { book, stepG } = w;
  const jug = jugOf(portions, id);
  if (!jug) return;
  const { pot, oilsG, waterG, liquids } = jug;
  const to = VESSEL.pot(id);
  const own = ownOils(w, pot);
  if (own)
    roundParts(
      own.map((o) => o.share * oilsG),
      stepG,
      oilsG,
    ).forEach((massG, i) => {
      const line = own[i]?.line;
      if (line !== undefined) book.add(SUBSTANCE.ownOil(id, line), to, massG, false);
    });
  else book.move(VESSEL.oils, to, oilsG, false);
  drawBlend(w, pot);
  drawDispersed(w, { kind: 'pot', pot: id });
  book.add(SUBSTANCE.water, to, waterG, false);
  for (const l of liquids) if (l.moment === 'oils') book.add(SUBSTANCE.liquid(l.id), to, l.massG, false);
  stirInAt(book, pot, 'jug');
}

/**
 * The solution that jugs draw from, once they stand ready: made of what they draw, its lye rounded down so
 * that no jug gets more than its oils can use beyond the superfat. The lye of the whole gives way to the jug
 * that may have least.
 */
export function lyeOfPortions(w: Weighing, { jugs, solution }: Portions): LyeOfPortions {
  const { recipe, substances, book, stepG, fineG } = w;
  const strength = strengthOf(w, solution);
  const { needs } = oilsAndNeeds(w);
  const combined = jugs.map((j) => {
    const { pot } = j;
    const soon = borneNeed(w, pot, needs.aside, [firstPass(pot)]);
    const need = plannedNeedOf(book.holds(VESSEL.pot(pot.target.pot.id)), substances) + soon;
    const lyeG = need * usableOf(w);
    const fromStocks = pot.source.kind === 'blend';
    return {
      id: pot.target.pot.id,
      lyeG,
      solutionG: fromStocks ? downToStep(lyeG / strength, stepG) : j.solutionG,
    };
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
  const doses = doseWeights(
    { ...recipe, doses: recipe.doses.filter((d) => isInLye(d.dose.moment)) },
    oilsG,
    fineG,
  );
  const liquids = liquidsMaking(
    { ...w, recipe: { ...solution, partLiquids: recipe.partLiquids.filter(isInSolution) } },
    oilsG,
    solutionG - lyeG - sum(doses),
  );
  return { lyeG, liquids, doses, drawnG: new Map(combined.map((j) => [j.id, j.solutionG])) };
}

/** A portion gets its lye solution. */
export function combine({ book }: Weighing, portions: Portions, lye: LyeOfPortions, id: PotId): void {
  book.move(VESSEL.lye, VESSEL.pot(id), lye.drawnG.get(id) ?? 0, false);
  for (const l of jugOf(portions, id)?.liquids ?? [])
    if (l.moment === 'emulsion') book.add(SUBSTANCE.liquid(l.id), VESSEL.pot(id), l.massG, false);
}
