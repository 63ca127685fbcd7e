import { massOfContents } from '../ledger/contents.ts';
import { needOf } from '../ledger/balance.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, upToStep } from '../units/scaleStep.ts';
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
import { stirredG, type PlannedPot } from './plannedPot.ts';
import type { RecipeLiquid } from '../batter/recipe.ts';
import { doseWeights, type DoseWeight } from './doseWeights.ts';
import { isOwn, ownPerOil, stirIn, type Stir, type StirMoment } from './stirs.ts';
import { liquidsMaking, weighLye } from './solution.ts';
import { spareFromRoundingG } from './targets.ts';
import { SUBSTANCE } from './substances.ts';

const at = (doses: readonly DoseWeight[], moment: DoseWeight['moment']): readonly DoseWeight[] =>
  doses.filter((d) => d.moment === moment);

/** Batter drawn from the batch for one pot: what it is to hold, less all that is put to it. */
function baseOf(bench: WeighBench, pot: PlannedPot): Grams {
  const { target, source, dispersedG } = pot;
  if (source.kind === 'blend') return 0;
  const wanted = source.kind === 'one-pot' ? source.startG : target.batterG - dispersedG;
  return upToStep(Math.max(0, wanted - stirredG(pot)), bench.stepG);
}

/**
 * One batch, divided after emulsion. The batch is what the pots, the stocks and the spare draw from it. Oils come to the
 * recipe's share of all oils, those set aside for the colorants among them; lye is rounded down against the oils as they
 * were weighed; water makes up the rest and is never short.
 */
export function weighOneBatch(bench: WeighBench): void {
  const { plan, recipe, substances, book, pots, stepG, fineG } = bench;
  const bases = new Map(pots.map((p) => [p.target.pot.id, baseOf(bench, p)] as const));
  const plainOf = (p: PlannedPot): Grams => (p.source.kind === 'one-pot' ? p.source.plainG : 0);
  const batchG = sumAtStep([...bases.values(), ...pots.map(plainOf), stocksG(bench), bench.spareG], stepG);
  const carrierG = carrierOilWanted(bench);
  // what every pot gets by itself is in the recipe's batter, and not in the batch
  const oilsG = (batchG + carrierG) / (recipe.batterPerOil - ownPerOil(plan, recipe));
  const doses = doseWeights({ ...recipe, doses: recipe.doses.filter((d) => !isOwn(plan, d)) }, oilsG, fineG);

  const carriers = carrierOils(recipe, oilsG, carrierG, fineG);
  setCarrierAside(bench, carriers);
  const inPot = recipe.oils.map((o) => Math.max(0, o.share * oilsG - (carriers.get(o.line) ?? 0)));
  const rounded = roundParts(inPot, stepG);
  recipe.oils.forEach((o, i) => {
    book.add(ACT.oils, SUBSTANCE.oil(o.line), VESSEL.oils, rounded[i] ?? 0, false);
  });
  stirIn(book, ACT.inOils, VESSEL.oils, at(doses, 'oils'));
  disperseAll(bench);

  const need = needOf(book.holds(VESSEL.oils), substances) + needOf(allCarrier(bench), substances);
  const pure = need * (1 - plan.batter.superfatPercent / 100);
  const exactG = pure / (plan.batter.purityPercent / 100);
  const lyeG = Math.max(0, sumAtStep([downToStep(exactG, stepG), -bench.lyeStepsOff * stepG], stepG));
  const after = doses.filter((d) => d.moment !== 'oils');
  const others = massOfContents(book.holds(VESSEL.oils)) + lyeG + after.reduce((s, d) => s + d.massG, 0);
  const liquids = liquidsMaking(bench, oilsG, batchG - others);
  const pourIn = (act: string, moment: RecipeLiquid['moment']): void => {
    for (const l of liquids.list)
      if (l.moment === moment) book.add(act, SUBSTANCE.liquid(l.id), VESSEL.oils, l.massG, false);
  };
  pourIn(ACT.inOils, 'oils');
  weighLye(bench, lyeG, liquids, doses);
  book.move(ACT.emulsify, VESSEL.lye, VESSEL.oils, massOfContents(book.holds(VESSEL.lye)), false);
  pourIn(ACT.emulsify, 'emulsion');
  stirIn(book, ACT.inEmulsion, VESSEL.oils, at(doses, 'emulsion'));
  const atTrace = at(doses, 'trace');
  stirIn(
    book,
    ACT.trace,
    VESSEL.oils,
    atTrace.filter((d) => !d.scent),
  );
  stirIn(
    book,
    ACT.scent,
    VESSEL.oils,
    atTrace.filter((d) => d.scent),
  );

  makeStocks(bench);
  for (const pot of pots) {
    const { id } = pot.target.pot;
    const act = ACT.pot(id);
    book.move(act, VESSEL.oils, VESSEL.pot(id), bases.get(id) ?? 0, false);
    book.move(act, VESSEL.oils, VESSEL.plain(id), plainOf(pot), false);
    drawBlend(bench, pot);
    const gets = (moment: StirMoment): readonly Stir[] => pot.stirs.filter((x) => x.moment === moment);
    stirIn(book, act, VESSEL.pot(id), gets('jug'));
    drawDispersed(bench, ACT.potColour(id));
    stirIn(book, ACT.potColour(id), VESSEL.pot(id), gets('colour'));
  }
  // what rounding leaves stays in the pot that the batch was made in
  if (bench.spareG > spareFromRoundingG(plan))
    book.move(ACT.spare, VESSEL.oils, VESSEL.spare, bench.spareG, false);
}

/** All the oil that was set aside for colorants, wherever it stands by now. */
function allCarrier({ book, dispersions }: WeighBench): ReadonlyMap<string, Grams> {
  const sum = new Map(book.holds(VESSEL.carrierOil));
  for (const { colorant } of dispersions.jars)
    for (const [id, massG] of book.holds(VESSEL.jar(colorant))) sum.set(id, (sum.get(id) ?? 0) + massG);
  return sum;
}
