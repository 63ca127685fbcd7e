import type { Recipe } from '../batter/recipe.ts';
import type { Substances } from '../ledger/balance.ts';
import type { OpenLedger } from '../ledger/ledger.ts';
import { massOfContents } from '../ledger/contents.ts';
import { carrierOils } from './carrierOil.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { ACT, VESSEL } from './acts.ts';
import type { DispersionDraw, Dispersions } from './dispersions.ts';
import type { OmbreWeights } from './ombre/types.ts';
import type { PlannedPot } from './plannedPot.ts';
import { SUBSTANCE } from './substances.ts';

/** A jar that is short by less than this is short by rounding, g. */
const SHORT_G = 1e-6;

/** Everything that weighing a batch needs, with the book it is written into. */
export interface WeighBench {
  readonly plan: Plan;
  /** of the batch */
  readonly recipe: Recipe;
  readonly substances: Substances;
  readonly book: OpenLedger;
  readonly pots: readonly PlannedPot[];
  readonly ombres: readonly OmbreWeights[];
  /** as planned: what is made ready */
  readonly dispersions: Dispersions;
  /** what is drawn of it, after what was really added */
  readonly draws: readonly DispersionDraw[];
  /** batter of a given batch that no pour takes */
  readonly spareG: Grams;
  /** steps that the lye of one batch is rounded down by beyond the first */
  readonly lyeStepsOff: number;
  readonly stepG: Grams;
  readonly fineG: Grams;
}

/** All oil that colorants are dispersed in. */
export const carrierOilWanted = ({ dispersions, fineG }: WeighBench): Grams =>
  Math.round(dispersions.jars.reduce((s, j) => s + (j.carrier === 'oil' ? j.carrierG : 0), 0) / fineG) *
  fineG;

/**
 * The carrier oil set aside, before the oils are weighed. For that in jars shaken up ready as much less of the recipe's oils is
 * weighed: it is in the jars already.
 */
export function setCarrierAside({ book, dispersions }: WeighBench, taken: ReadonlyMap<string, Grams>): void {
  let readyG = dispersions.jars.reduce((s, j) => s + (j.ready && j.carrier === 'oil' ? j.carrierG : 0), 0);
  for (const [line, massG] of taken) {
    const inJarG = Math.min(massG, readyG);
    readyG -= inJarG;
    book.add(ACT.carrierOil, SUBSTANCE.carrierOil(line), VESSEL.carrierOil, massG - inJarG, true);
  }
}

/** Every colorant dispersed in its jar. */
export function disperseAll({ book, dispersions }: WeighBench): void {
  for (const { colorant, powderG, carrierG, carrier, ready } of dispersions.jars) {
    const act = ACT.disperse(colorant);
    const jar = VESSEL.jar(colorant);
    book.add(act, SUBSTANCE.colorant(colorant), jar, powderG, true);
    if (carrier === 'oil' && ready) book.add(act, SUBSTANCE.jarOil(colorant), jar, carrierG, true);
    else if (carrier === 'oil') book.move(act, VESSEL.carrierOil, jar, carrierG, true);
    else if (carrier) book.add(act, SUBSTANCE.carrier(carrier), jar, carrierG, true);
  }
}

/** Draw what one act takes of the dispersed colorants; what a jar has not, more having been added before, is dispersed anew. */
export function drawDispersed({ book, recipe, draws, plan }: WeighBench, act: string): void {
  for (const d of draws) {
    if (d.act !== act) continue;
    const jar = VESSEL.jar(d.colorant);
    const shortG = d.massG - massOfContents(book.holds(jar));
    if (shortG > SHORT_G) {
      const { nature, jar: ready } = plan.colorants.find((c) => c.id === d.colorant) ?? {};
      const carrier = nature?.carrier;
      const powderG = (shortG * d.powderG) / d.massG;
      const again = ACT.disperse(d.colorant);
      book.add(again, SUBSTANCE.colorant(d.colorant), jar, powderG, true);
      const [line] = carrierOils(recipe, Infinity, 1, 1).keys();
      const oil = ready === undefined ? line && SUBSTANCE.carrierOil(line) : SUBSTANCE.jarOil(d.colorant);
      if (carrier === 'oil' && oil !== undefined) book.add(again, oil, jar, shortG - powderG, true);
      else if (carrier) book.add(again, SUBSTANCE.carrier(carrier), jar, shortG - powderG, true);
    }
    book.move(act, jar, d.to, d.massG, true);
  }
}

/** The two stocks of each ombre of master blends, out of the batch or the mixed oils. */
export function makeStocks(bench: WeighBench): void {
  for (const o of bench.ombres) {
    if (o.school !== 'master-blends') continue;
    for (const which of ['first', 'last'] as const) {
      const act = ACT.stock(o.ombre.id, which);
      bench.book.move(act, VESSEL.oils, VESSEL.stock(o.ombre.id, which), o[which].massG, false);
      drawDispersed(bench, act);
    }
  }
}

/** What all stocks take of the batch or of the mixed oils. */
export const stocksG = ({ ombres }: WeighBench): Grams =>
  ombres.reduce((s, o) => s + (o.school === 'master-blends' ? o.first.massG + o.last.massG : 0), 0);

/** What a pot draws from its stocks. */
export function drawBlend({ book }: WeighBench, { target, source }: PlannedPot): void {
  if (source.kind !== 'blend') return;
  const to = VESSEL.pot(target.pot.id);
  const act = ACT.pot(target.pot.id);
  book.move(act, VESSEL.stock(source.ombre, 'last'), to, source.lastG, false);
  book.move(act, VESSEL.stock(source.ombre, 'first'), to, source.firstG, false);
}
