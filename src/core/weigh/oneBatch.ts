import type { ActOf } from '../day/act.ts';
import { WHOLE_STIRS, type Into } from '../batter/moments.ts';
import { VESSEL } from '../day/vessel.ts';
import { massOfContents } from '../ledger/contents.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, upToStep } from '../units/scaleStep.ts';
import type { PotId } from '../validate/ids.ts';
import {
  carrierOilWanted,
  drawBlend,
  drawDispersed,
  plannedPot,
  setAside,
  stocksG,
  type WeighBench,
  type Weighing,
} from './bench.ts';
import { carrierOils } from './carrierOil.ts';
import { doseWeights, type DoseWeight } from './doseWeights.ts';
import { plainOf, stirInAt, stirredG, type PlannedPot } from './plannedPot.ts';
import { liquidsMaking, pourLiquids, type LyeSolution } from './solution.ts';
import { isOwn, ownPerOil, stirIn } from './stirs.ts';
import { SUBSTANCE } from './substances.ts';
import { spareFromRoundingG } from './targets.ts';

/** What one batch is made of, before anything is weighed. */
export interface OneBatch {
  readonly kind: 'one-batch';
  /** of each oil for the colorants, by its line */
  readonly aside: ReadonlyMap<string, Grams>;
  /** in the recipe's order */
  readonly oils: readonly Grams[];
  readonly doses: readonly DoseWeight[];
  readonly lye: LyeSolution;
  /** batter that each pot draws from it */
  readonly bases: ReadonlyMap<PotId, Grams>;
}

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
 * Pure NaOH that all oils of the batch can use before anything is drawn of it, those for the colorants among
 * them.
 */
function needOfOils(
  { recipe, substances, dispersions }: WeighBench,
  { aside, oils, doses }: Pick<OneBatch, 'aside' | 'oils' | 'doses'>,
): Grams {
  const of = (id: string, massG: Grams): Grams => massG * (substances.get(id)?.needsNaoh ?? 0);
  const inPot = recipe.oils.reduce((s, o, i) => s + of(SUBSTANCE.oil(o.line), oils[i] ?? 0), 0);
  const early = at(doses, 'oils').reduce((s, d) => s + of(d.substance, d.massG), inPot);
  const cup = [...aside].reduce((s, [line, massG]) => s + of(SUBSTANCE.carrierOil(line), massG), early);
  return dispersions.jars.reduce(
    (s, j) => (j.ready && j.carrier === 'oil' ? s + of(SUBSTANCE.jarOil(j.colorant), j.carrierG) : s),
    cup,
  );
}

/**
 * One batch, divided after emulsion. The batch is what the pots, the stocks and the spare draw from it. Oils
 * come to the recipe's share of all oils, those set aside for the colorants among them; lye is rounded down
 * against the oils as they were weighed; water makes up the rest and is never short.
 */
export function oneBatchOf(bench: WeighBench): OneBatch {
  const { plan, recipe, pots, stepG, fineG } = bench;
  const bases = new Map(pots.map((p) => [p.target.pot.id, baseOf(bench, p)] as const));
  const batchG = sumAtStep([...bases.values(), ...pots.map(plainOf), stocksG(bench), bench.spareG], stepG);
  const carrierG = carrierOilWanted(bench);
  // what every pot gets by itself is in the recipe's batter, and not in the batch
  const oilsG = (batchG + carrierG) / (recipe.batterPerOil - ownPerOil(plan, recipe));
  const doses = doseWeights({ ...recipe, doses: recipe.doses.filter((d) => !isOwn(plan, d)) }, oilsG, fineG);
  const carriers = carrierOils(recipe, oilsG, carrierG, fineG);
  const aside = setAside(bench, carriers);
  const inPot = recipe.oils.map((o) => Math.max(0, o.share * oilsG - (carriers.get(o.line) ?? 0)));
  const oils = roundParts(inPot, stepG);
  const pure = needOfOils(bench, { aside, oils, doses }) * (1 - plan.batter.superfatPercent / 100);
  const exactG = pure / (plan.batter.purityPercent / 100);
  const lyeG = Math.max(0, sumAtStep([downToStep(exactG, stepG), -bench.lyeStepsOff * stepG], stepG));
  const stirredIn = doses.reduce((s, d) => s + d.massG, 0);
  const others = oils.reduce((s, g) => s + g, 0) + lyeG + stirredIn;
  const liquids = liquidsMaking(bench, oilsG, batchG - others);
  return { kind: 'one-batch', aside, oils, doses, lye: { lyeG, liquids, doses }, bases };
}

/** What the whole batch gets by one act: its lye, its oils before it, or its batter after it. */
export function stirIntoBatch({ book }: Weighing, { doses, lye }: OneBatch, into: Into): void {
  const { moment, scents } = WHOLE_STIRS[into];
  const due = at(doses, moment).filter((d) => scents === undefined || d.scent === scents);
  stirIn(book, VESSEL.oils, due);
  if (moment === 'oils') pourLiquids(book, lye.liquids, 'oils', VESSEL.oils);
}

/** Lye and oils brought together. */
export function emulsify({ book }: Weighing, { lye }: OneBatch): void {
  book.move(VESSEL.lye, VESSEL.oils, massOfContents(book.holds(VESSEL.lye)), false);
  pourLiquids(book, lye.liquids, 'emulsion', VESSEL.oils);
}

/** A pot's colour, and what else is its own by then. */
export function colourPot(w: Weighing, id: PotId): void {
  const pot = plannedPot(w, id);
  if (!pot) return;
  drawDispersed(w, { kind: 'pot', pot: id });
  stirInAt(w.book, pot, 'colour');
}

/** A pot weighed out of the batch, or blended from its stocks. */
export function weighOut(w: Weighing, { bases }: OneBatch, act: ActOf<'weigh-out'>): void {
  const { id } = act.pot;
  const pot = plannedPot(w, id);
  if (!pot) return;
  w.book.move(VESSEL.oils, VESSEL.pot(id), bases.get(id) ?? 0, false);
  w.book.move(VESSEL.oils, VESSEL.plain(id), plainOf(pot), false);
  drawBlend(w, pot);
  stirInAt(w.book, pot, 'jug');
  if (act.coloured) colourPot(w, id);
}

/** Batter that no pour takes; what rounding leaves stays in the pot that the batch was made in. */
export function keepSpare({ plan, book, spareG }: Weighing): void {
  if (spareG > spareFromRoundingG(plan)) book.move(VESSEL.oils, VESSEL.spare, spareG, false);
}
