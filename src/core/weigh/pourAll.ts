import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import { depositsOf, type Deposit } from '../plan/deposits.ts';
import { isAbout, usesOf } from '../plan/moulds.ts';
import { layerUnder, scrapesOf } from '../plan/scrapes.ts';
import { SUBSTANCE } from './substances.ts';
import type { MicaLine, Pour, Ridges, Scrape, Step } from '../plan/stepSchema.ts';
import { stepsDone } from '../fill/ridges.ts';
import { jugOfScrapings } from '../fill/scrapings.ts';
import { massOfContents } from '../ledger/contents.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import { ACT, VESSEL } from './acts.ts';
import { drawDispersed, type WeighBench } from './bench.ts';
import type { OmbreWeights } from './ombre/types.ts';
import { sharedOut } from './sharedOut.ts';
import { stirIn, type Stir } from './stirs.ts';
import { placeInFilling, type PotTarget } from './targets.ts';

/** What was poured of one pot by one pour. */
export interface PouredFrom {
  readonly pouredG: Grams;
  /** into each mould that it goes into: all of one kind together, by the mould's id */
  readonly into: ReadonlyMap<string, Grams>;
}

/** Everything that is known while the steps are gone through. */
interface Pouring {
  readonly bench: WeighBench;
  readonly pots: readonly PotTarget[];
  /** as they are by now */
  readonly ombres: readonly OmbreWeights[];
  /** what each deposit is to take */
  readonly amounts: ReadonlyMap<string, Grams>;
  readonly thickened: Set<PotId>;
  readonly poured: Map<string, PouredFrom>;
}

/** What goes before each pass of a pot that is coloured as it empties: plain batter first, then the colorants. */
function beforePass({ bench, ombres }: Pouring, pourId: StepId): void {
  const act = ACT.pass(pourId);
  for (const o of ombres) {
    if (o.school !== 'one-pot') continue;
    for (const pot of o.pots) {
      const pass = pot.passes.find((p) => p.pourId === pourId);
      if (pass) bench.book.move(act, VESSEL.plain(pot.pot.id), VESSEL.pot(pot.pot.id), pass.plainG, false);
    }
  }
  drawDispersed(bench, act);
}

const stirsFor = ({ pots }: WeighBench, potId: PotId): readonly Stir[] =>
  pots.find((p) => p.target.pot.id === potId)?.stirs ?? [];

/** What is stirred into a pot once it has thickened: before anything is taken of it, so that nothing sinks. */
function atTrace({ bench, thickened }: Pouring, potId: PotId): void {
  if (thickened.has(potId)) return;
  thickened.add(potId);
  stirIn(
    bench.book,
    ACT.potTrace(potId),
    VESSEL.pot(potId),
    stirsFor(bench, potId).filter((s) => s.moment === 'trace'),
  );
}

/** What something is poured out of, and how much of that. */
interface Source {
  readonly vessel: string;
  readonly massG: Grams;
}

/**
 * What is stirred in just before something is poured of a pot: into all that the jug holds, or, where more is poured of it later,
 * into a cup with that part's batter alone; all of the cup is poured then.
 */
function madeReady({ bench }: Pouring, potId: PotId, stepId: StepId, key: string, wantedG: Grams): Source {
  const { book, stepG } = bench;
  const act = ACT.stir(key);
  const jug = VESSEL.pot(potId);
  const here = stirsFor(bench, potId).filter((s) => s.moment === 'pour' && s.before === stepId);
  stirIn(
    book,
    act,
    jug,
    here.filter((s) => !s.cup),
  );
  const intoCup = here.filter((s) => s.cup);
  if (intoCup.length === 0) return { vessel: jug, massG: wantedG };
  const cup = VESSEL.cup(potId, stepId);
  const stirredG = intoCup.reduce((s, x) => s + x.massG, 0);
  book.move(act, jug, cup, toStep(Math.max(0, wantedG - stirredG), stepG), false);
  stirIn(book, act, cup, intoCup);
  return { vessel: cup, massG: massOfContents(book.holds(cup)) };
}

/** What one step takes of one pot, stirred first with what is its own, into every mould that it is for; g that went into each. */
function pourOut(
  pouring: Pouring,
  of: { readonly act: string; readonly pot: PotId; readonly step: StepId; readonly key: string },
  into: Parameters<typeof sharedOut>[0],
  wantedG: Grams,
  at: (mould: MouldId) => string = VESSEL.mould,
): ReadonlyMap<string, Grams> {
  const { book, stepG } = pouring.bench;
  const { vessel, massG: allG } = madeReady(pouring, of.pot, of.step, of.key, wantedG);
  return new Map(
    sharedOut(into, allG, stepG).map(
      ({ mould, massG }) => [mould, book.move(of.act, vessel, at(mould), massG, false)] as const,
    ),
  );
}

/** A line of colorant over the layer that was poured, in every mould that it is for. */
function putLine({ bench: { plan, book } }: Pouring, line: MicaLine): void {
  if (!layerUnder(plan, line)) return;
  for (const use of usesOf(plan))
    if (isAbout(use, line))
      book.add(
        ACT.mica(line.id),
        SUBSTANCE.colorant(line.colorant),
        VESSEL.mould(use.id),
        line.massG * use.copies,
        true,
      );
}

/** What a scraper takes of a layer goes where it is to go; the rest stays in the mould. */
function scrapeOff({ bench: { plan, book }, pots }: Pouring, pour: Pour, scrape: Scrape): void {
  const act = ACT.scrape(scrape.id);
  const jug = jugOfScrapings(plan, pour, scrape);
  const to = jug === undefined ? VESSEL.spareMould : VESSEL.pot(jug);
  const into = pots.flatMap((p) => p.pours.filter((q) => q.stepId === pour.id).flatMap((q) => q.into));
  for (const mould of new Set(into.map((i) => i.mould))) {
    const layer = VESSEL.layer(pour.id, mould);
    const offG = into.reduce((s, i) => s + (i.mould === mould ? i.offG * i.copies : 0), 0);
    book.move(act, layer, to, offG, false);
    book.move(act, layer, VESSEL.mould(mould), massOfContents(book.holds(layer)), false);
  }
}

/** One pour out of one of its pots. */
function pourOf(pouring: Pouring, { key, pour, pot, moulds }: Deposit, scraped: boolean): void {
  const { pots, amounts, poured } = pouring;
  atTrace(pouring, pot.id);
  beforePass(pouring, pour.id);
  const into =
    pots.find((p) => p.pot.id === pot.id)?.pours.find((q) => q.key === key)?.into ??
    moulds.map((m) => ({ mould: m.id, copies: m.copies, eachG: 0 }));
  const at = (mould: MouldId): string => (scraped ? VESSEL.layer(pour.id, mould) : VESSEL.mould(mould));
  const of = { act: ACT.pour(pour.id), pot: pot.id, step: pour.id, key };
  const went = pourOut(pouring, of, into, amounts.get(key) ?? 0, at);
  poured.set(key, { pouredG: [...went.values()].reduce((s, g) => s + g, 0), into: went });
}

/** The hollows of a mat, in every mould that has one. */
function fillRidges(pouring: Pouring, { id }: Ridges): void {
  for (const { pot, mounds } of pouring.pots) {
    const own = mounds.filter((m) => m.when === 'first' && m.stepId === id);
    const wantedG = own.reduce((s, m) => s + m.eachG * m.copies, 0);
    if (wantedG <= 0) continue;
    atTrace(pouring, pot.id);
    pourOut(pouring, { act: ACT.onTop(id), pot: pot.id, step: id, key: id }, own, wantedG);
  }
}

const inFillingOrder = ({ bench: { plan }, pots }: Pouring): readonly PotTarget[] =>
  pots.toSorted((a, b) => placeInFilling(plan, a.pot.id) - placeInFilling(plan, b.pot.id));

/** What is held back, into the holes of columns that are pulled at this step. */
function fillHoles(pouring: Pouring, stepId: StepId): void {
  for (const { pot, held } of inFillingOrder(pouring)) {
    const own = held.flatMap(({ mould, pulled }) =>
      pulled?.stepId === stepId ? [{ mould, copies: 1, eachG: pulled.massG }] : [],
    );
    const wantedG = own.reduce((s, o) => s + o.eachG, 0);
    if (wantedG <= 0) continue;
    atTrace(pouring, pot.id);
    const key = `${stepId}:${pot.id}`;
    pourOut(pouring, { act: ACT.pull(stepId), pot: pot.id, step: stepId, key }, own, wantedG);
  }
}

/** What is spread over the top, and then what is heaped on it, in the order of the steps. */
function putOnTop(pouring: Pouring): void {
  const { bench, pots } = pouring;
  for (const { pot, held, heldBackG } of inFillingOrder(pouring)) {
    if (heldBackG > 0) atTrace(pouring, pot.id);
    for (const { mould, topG } of held)
      bench.book.move(ACT.top, VESSEL.pot(pot.id), VESSEL.mould(mould), topG, false);
  }
  for (const { id } of bench.plan.steps)
    for (const { pot, mounds } of pots)
      for (const { stepId, mould, eachG, copies, when } of mounds)
        if (when === 'last' && stepId === id)
          bench.book.move(ACT.onTop(id), VESSEL.pot(pot.id), VESSEL.mould(mould), eachG * copies, false);
}

/**
 * All that is done with the pots, step by step, and then the top. What is poured is `amounts`, by deposit, or all there is where
 * the jug has less.
 */
export function pourAll(
  bench: WeighBench,
  ombres: readonly OmbreWeights[],
  amounts: ReadonlyMap<string, Grams>,
  pots: readonly PotTarget[],
): ReadonlyMap<string, PouredFrom> {
  const { plan } = bench;
  const pouring: Pouring = { bench, pots, ombres, amounts, thickened: new Set(), poured: new Map() };
  const scrapes = scrapesOf(plan);
  const deposits = depositsOf(plan);
  const done = (step: Step): void => {
    switch (step.kind) {
      case 'ridges':
        fillRidges(pouring, step);
        break;
      case 'pour':
        for (const d of deposits) if (d.pour === step) pourOf(pouring, d, scrapes.has(step.id));
        break;
      case 'scrape': {
        const pour = layerUnder(plan, step);
        if (pour && scrapes.get(pour.id) === step) scrapeOff(pouring, pour, step);
        break;
      }
      case 'mica':
        putLine(pouring, step);
        break;
      case 'pull':
        fillHoles(pouring, step.id);
    }
  };
  for (const step of stepsDone(plan)) done(step);
  putOnTop(pouring);
  return pouring.poured;
}
