import { massOfContents } from '../ledger/contents.ts';
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
import type { PlannedPot } from './plannedPot.ts';
import { liquidsMaking, weighLye } from './solution.ts';
import { SUBSTANCE } from './substances.ts';

/** Fragrance that one pot gets by itself, just before it is poured. */
const potScent = ({ plan, recipe, fineG }: WeighBench, pot: PlannedPot): Grams =>
  plan.batter.fragrance?.when === 'pot' ? toStep(recipe.fragrance * pot.oilsG, fineG) : 0;

/** Batter drawn from the batch for one pot: what it is to hold, less all that is put to it. */
function baseOf(bench: WeighBench, pot: PlannedPot): Grams {
  const { target, source, dispersedG } = pot;
  if (source.kind === 'blend') return 0;
  const wanted = source.kind === 'one-pot' ? source.startG : target.batterG - dispersedG;
  return upToStep(Math.max(0, wanted - potScent(bench, pot)), bench.stepG);
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
  const scents = pots.reduce((s, p) => s + potScent(bench, p), 0);
  const carrierG = carrierOilWanted(bench);
  const oilsG = (batchG + carrierG + scents) / recipe.batterPerOil;

  const carriers = carrierOils(recipe, oilsG, carrierG, fineG);
  setCarrierAside(bench, carriers);
  const inPot = recipe.oils.map((o) => Math.max(0, o.share * oilsG - (carriers.get(o.oil.id) ?? 0)));
  const rounded = roundParts(inPot, stepG);
  recipe.oils.forEach((o, i) => {
    book.add(ACT.oils, SUBSTANCE.oil(o.oil.id), VESSEL.oils, rounded[i] ?? 0, false);
  });
  for (const a of recipe.additives)
    if (a.into === 'oils')
      book.add(ACT.inOils, SUBSTANCE.additive(a.id), VESSEL.oils, toStep(a.perOil * oilsG, fineG), true);
  disperseAll(bench);

  const need = needOf(book.holds(VESSEL.oils), substances) + needOf(allCarrier(bench), substances);
  const pure = need * (1 - plan.batter.superfatPercent / 100);
  const exactG = pure / (plan.batter.purityPercent / 100);
  const lyeG = Math.max(0, sumAtStep([downToStep(exactG, stepG), -bench.lyeStepsOff * stepG], stepG));
  const additives = recipe.additives.map((a) => ({ ...a, massG: toStep(a.perOil * oilsG, fineG) }));
  const scentG = plan.batter.fragrance?.when === 'batch' ? toStep(recipe.fragrance * oilsG, fineG) : 0;
  const others =
    massOfContents(book.holds(VESSEL.oils)) +
    lyeG +
    scentG +
    additives.reduce((s, a) => s + (a.into === 'oils' ? 0 : a.massG), 0);
  const liquids = liquidsMaking(bench, oilsG, batchG - others);
  weighLye(bench, lyeG, liquids, additives);
  book.move(ACT.emulsify, VESSEL.lye, VESSEL.oils, massOfContents(book.holds(VESSEL.lye)), false);
  for (const l of liquids.list)
    if (!l.frozen) book.add(ACT.emulsify, SUBSTANCE.liquid(l.id), VESSEL.oils, l.massG, false);
  for (const a of additives)
    if (a.into === 'trace') book.add(ACT.trace, SUBSTANCE.additive(a.id), VESSEL.oils, a.massG, true);
  book.add(ACT.scent, SUBSTANCE.fragrance, VESSEL.oils, scentG, true);

  makeStocks(bench);
  for (const pot of pots) {
    const { id } = pot.target.pot;
    const act = ACT.pot(id);
    book.move(act, VESSEL.oils, VESSEL.pot(id), bases.get(id) ?? 0, false);
    book.move(act, VESSEL.oils, VESSEL.plain(id), plainOf(pot), false);
    drawBlend(bench, pot);
    drawDispersed(bench, act);
    book.add(act, SUBSTANCE.fragrance, VESSEL.pot(id), potScent(bench, pot), true);
  }
  book.move(ACT.spare, VESSEL.oils, VESSEL.spare, bench.spareG, false);
}

/** All the oil that was set aside for colorants, wherever it stands by now. */
function allCarrier({ book, dispersions }: WeighBench): ReadonlyMap<string, Grams> {
  const sum = new Map(book.holds(VESSEL.carrierOil));
  for (const { colorant } of dispersions.jars)
    for (const [id, massG] of book.holds(VESSEL.jar(colorant))) sum.set(id, (sum.get(id) ?? 0) + massG);
  return sum;
}
