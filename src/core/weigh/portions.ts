import { naohNeed } from '../batter/lye.ts';
import { needOf } from '../ledger/balance.ts';
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
import type { PlannedPot } from './plannedPot.ts';
import { SUBSTANCE } from './substances.ts';

/** One jug made ready before the lye. */
interface Portion {
  readonly pot: PlannedPot;
  /** mixed oils and lye solution together: what makes the jug up to what it is to hold; 0 where it draws from stocks */
  readonly oilsAndSolutionG: Grams;
  readonly additives: readonly { readonly id: string; readonly massG: Grams }[];
  readonly scentG: Grams;
  readonly liquids: readonly { readonly id: string; readonly massG: Grams }[];
}

/** Lye solution that goes with each gram of the recipe's oils. */
const solutionPerOil = ({ recipe }: WeighBench): number =>
  recipe.lye +
  recipe.plainWater +
  recipe.partLiquids.reduce((s, l) => s + (l.frozen ? l.perOil : 0), 0) +
  recipe.additives.reduce((s, a) => s + (a.into === 'lye' ? a.perOil : 0), 0);

const sum = (list: readonly { readonly massG: Grams }[]): Grams => list.reduce((s, x) => s + x.massG, 0);

function portionOf({ recipe, stepG, fineG }: WeighBench, pot: PlannedPot): Portion {
  const { oilsG, source, target } = pot;
  const additives = recipe.additives
    .filter((a) => a.into !== 'lye')
    .map((a) => ({ id: a.id, massG: toStep(a.perOil * oilsG, fineG) }));
  const scentG = toStep(recipe.fragrance * oilsG, fineG);
  const liquids = recipe.partLiquids
    .filter((l) => !l.frozen)
    .map((l) => ({ id: l.id, massG: toStep(l.perOil * oilsG, stepG) }));
  const wholeG = source.kind === 'one-pot' ? source.startG + source.plainG : target.batterG - pot.dispersedG;
  const rest = wholeG - scentG - sum(additives) - sum(liquids);
  return {
    pot,
    oilsAndSolutionG: source.kind === 'blend' ? 0 : Math.max(0, upToStep(rest, stepG)),
    additives,
    scentG,
    liquids,
  };
}

const isOilBorne = ({ plan }: WeighBench, colorant: string): boolean =>
  plan.colorants.find((c) => c.id === colorant)?.nature?.carrier === 'oil';

/** Pure NaOH that each gram of the mixed oils and of the oil set aside can use. */
interface Needs {
  readonly mixed: number;
  readonly aside: number;
}

/** The mixed oils are the recipe's without what was set aside: they need a little more or less lye than the recipe. */
function needsOf({ recipe }: WeighBench, oilsG: Grams, carriers: ReadonlyMap<string, Grams>): Needs {
  const asideG = (id: string): Grams => carriers.get(id) ?? 0;
  const all = recipe.oils.map((o) => ({
    need: naohNeed(o.svMgG),
    asideG: asideG(o.oil.id),
    massG: o.share * oilsG,
  }));
  const takenG = all.reduce((s, o) => s + o.asideG, 0);
  const mixedG = all.reduce((s, o) => s + o.massG - o.asideG, 0);
  return {
    mixed: mixedG > 0 ? all.reduce((s, o) => s + (o.massG - o.asideG) * o.need, 0) / mixedG : 0,
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
  const portions = bench.pots.map((p) => portionOf(bench, p));
  const usable = (1 - plan.batter.superfatPercent / 100) / (plan.batter.purityPercent / 100);
  const strength = recipe.lye / solutionPerOil(bench);
  const carrierG = carrierOilWanted(bench);
  const about = bench.pots.reduce((s, p) => s + p.oilsG, 0);
  const carriers = carrierOils(recipe, about, carrierG, fineG);
  const needs = needsOf(bench, about, carriers);
  /** g of solution for each g of pure NaOH that a jug can use */
  const perNeed = usable / strength;
  /** oil of colorants that are in the jug by its first pour, g: those it is made up with, or those of its first pass */
  const borneG = ({ pot }: Portion, acts: readonly string[]): Grams =>
    draws
      .filter(
        (d) =>
          acts.includes(d.act) && d.to === VESSEL.pot(pot.target.pot.id) && isOilBorne(bench, d.colorant),
      )
      .reduce((s, d) => s + d.massG - d.powderG, 0);
  const firstPass = ({ pot }: Portion): string => ACT.pass(pot.target.pours[0]?.stepId ?? '');
  const solutionFor = (portion: Portion): Grams => {
    const { pot, oilsAndSolutionG } = portion;
    const asideG = borneG(portion, [ACT.pot(pot.target.pot.id), firstPass(portion)]);
    const exact =
      (perNeed * (oilsAndSolutionG * needs.mixed + asideG * needs.aside)) / (1 + perNeed * needs.mixed);
    return downToStep(exact, stepG);
  };
  const jugs = portions.map((p) => {
    const solutionG = solutionFor(p);
    return { ...p, solutionG, oilsG: sumAtStep([p.oilsAndSolutionG - solutionG], stepG) };
  });
  const mixedG = sumAtStep([...jugs.map((p) => p.oilsG), stocksG(bench)], stepG);
  setCarrierAside(bench, carriers);
  const raw = recipe.oils.map((o) =>
    Math.max(0, o.share * (mixedG + carrierG) - (carriers.get(o.oil.id) ?? 0)),
  );
  roundParts(raw, stepG, mixedG).forEach((massG, i) => {
    const used = recipe.oils[i];
    if (used) book.add(ACT.oils, SUBSTANCE.oil(used.oil.id), VESSEL.oils, massG, false);
  });
  disperseAll(bench);
  makeStocks(bench);
  for (const { pot, oilsG, additives, scentG } of jugs) {
    const { id } = pot.target.pot;
    const act = ACT.pot(id);
    book.move(act, VESSEL.oils, VESSEL.pot(id), oilsG, false);
    drawBlend(bench, pot);
    drawDispersed(bench, act);
    for (const a of additives) book.add(act, SUBSTANCE.additive(a.id), VESSEL.pot(id), a.massG, true);
    book.add(act, SUBSTANCE.fragrance, VESSEL.pot(id), scentG, true);
  }

  // the lye of the whole solution gives way to the jug that may have least
  const combined = jugs.map((j) => {
    const soonG = borneG(j, [firstPass(j)]);
    const need = needOf(book.holds(VESSEL.pot(j.pot.target.pot.id)), substances) + soonG * needs.aside;
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
  const oilsG = solutionG / solutionPerOil(bench);
  const dissolved = recipe.additives.map((a) => ({ ...a, massG: toStep(a.perOil * oilsG, fineG) }));
  const dissolvedG = dissolved.reduce((s, a) => s + (a.into === 'lye' ? a.massG : 0), 0);
  const frozen = liquidsMaking(
    { ...bench, recipe: { ...recipe, partLiquids: recipe.partLiquids.filter((l) => l.frozen) } },
    oilsG,
    solutionG - lyeG - dissolvedG,
  );
  weighLye(bench, lyeG, frozen, dissolved);
  for (const { pot, liquids, solutionG: drawnG } of combined) {
    const { id } = pot.target.pot;
    const act = ACT.combine(id);
    book.move(act, VESSEL.lye, VESSEL.pot(id), drawnG, false);
    for (const l of liquids) book.add(act, SUBSTANCE.liquid(l.id), VESSEL.pot(id), l.massG, false);
    if (pot.source.kind === 'one-pot')
      book.move(act, VESSEL.pot(id), VESSEL.plain(id), pot.source.plainG, false);
  }
}
