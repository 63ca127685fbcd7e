import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import { superfatIn } from '../ledger/balance.ts';
import { depositsOf, type Deposit } from '../plan/deposits.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isAbout, usesOf } from '../plan/moulds.ts';
import { layerUnder, scrapesOf } from '../plan/scrapes.ts';
import { SUBSTANCE } from './substances.ts';
import type { Pour, Scrape } from '../plan/stepSchema.ts';
import { jugOfScrapings } from '../fill/scrapings.ts';
import { topShares } from '../fill/topShares.ts';
import { massOfContents } from '../ledger/contents.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import { ACT, VESSEL } from './acts.ts';
import { drawDispersed, type WeighBench } from './bench.ts';
import type { OmbreWeights } from './ombre/types.ts';
import { stirIn, type Stir } from './stirs.ts';
import type { MoundTarget, PotTarget, PouredInto } from './targets.ts';

/** What was in the jug when a pour was made. */
export interface PouredFrom {
  readonly pouredG: Grams;
  /** into each mould that it goes into: all of one kind together, by the mould's id */
  readonly into: ReadonlyMap<string, Grams>;
  /** superfat of what is poured; undefined while there is none to tell */
  readonly superfatPercent: Percent | undefined;
}

/** What goes before each pass of a pot that is coloured as it empties: plain batter first, then the colorants. */
function beforePass(bench: WeighBench, ombres: readonly OmbreWeights[], pourId: StepId): void {
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

/** What is stirred into a pot once it has thickened: before anything is poured of it, so that nothing sinks. */
function atTrace(bench: WeighBench, potId: PotId): void {
  stirIn(
    bench.book,
    ACT.potTrace(potId),
    VESSEL.pot(potId),
    stirsFor(bench, potId).filter((s) => s.moment === 'trace'),
  );
}

/**
 * What is stirred in just before a pour: into all that the jug holds, or, where the jug is poured again later, into a cup with
 * that pour's batter alone. Returns what the cup holds.
 */
function beforePour(bench: WeighBench, { pour, pot }: Deposit, wantedG: Grams): Grams | undefined {
  const { book, stepG } = bench;
  const act = ACT.stir(pour.id);
  const here = stirsFor(bench, pot.id).filter((s) => s.moment === 'pour' && s.pourId === pour.id);
  stirIn(
    book,
    act,
    VESSEL.pot(pot.id),
    here.filter((s) => !s.cup),
  );
  const intoCup = here.filter((s) => s.cup);
  if (intoCup.length === 0) return undefined;
  const cup = VESSEL.cup(pot.id, pour.id);
  const stirredG = intoCup.reduce((s, x) => s + x.massG, 0);
  book.move(act, VESSEL.pot(pot.id), cup, toStep(Math.max(0, wantedG - stirredG), stepG), false);
  stirIn(book, act, cup, intoCup);
  return massOfContents(book.holds(cup));
}

/** What is poured shared between its moulds as it was planned, to the scale's step; the last takes what that leaves. */
function shared(
  into: readonly PouredInto[],
  massG: Grams,
  stepG: Grams,
): readonly { readonly mould: MouldId; readonly massG: Grams }[] {
  const plannedG = into.reduce((s, i) => s + i.eachG * i.copies, 0);
  let leftG = massG;
  return into.map(({ mould, eachG, copies }, i) => {
    const part = plannedG > 0 ? (eachG * copies) / plannedG : 1 / into.length;
    const hereG = i === into.length - 1 ? leftG : Math.min(leftG, toStep(massG * part, stepG));
    leftG -= hereG;
    return { mould, massG: hereG };
  });
}

/** A hole is filled pot after pot, in the order that what is held back is given in. */
function inFillingOrder({ fill }: Plan, pots: readonly PotTarget[]): readonly PotTarget[] {
  const place = ({ pot }: PotTarget): number => {
    const at = fill.top.findIndex((t) => t.pot === pot.id);
    return at < 0 ? fill.top.length : at;
  };
  return pots.toSorted((a, b) => place(a) - place(b));
}

/** Lines of colorant over a layer that was poured, in every mould that they are for. */
function putLines({ plan, book }: WeighBench, pour: Pour): void {
  const uses = usesOf(plan);
  for (const step of plan.steps) {
    if (step.kind !== 'mica' || layerUnder(plan, step) !== pour) continue;
    for (const use of uses)
      if (isAbout(use, step))
        book.add(
          ACT.mica(step.id),
          SUBSTANCE.colorant(step.colorant),
          VESSEL.mould(use.id),
          step.massG * use.copies,
          true,
        );
  }
}

/** What a scraper takes of a layer goes where it is to go; the rest stays in the mould. */
function scrapeOff({ plan, book }: WeighBench, pour: Pour, scrape: Scrape, pots: readonly PotTarget[]): void {
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

/** What goes into each mould before its pours, or once all else is in. */
function besidePours({ plan, book }: WeighBench, pots: readonly PotTarget[], now: MoundTarget['when']): void {
  const place = (id: StepId): number => plan.steps.findIndex((s) => s.id === id);
  const all = pots
    .flatMap(({ pot, mounds }) => mounds.map((m) => ({ ...m, pot })))
    .filter((m) => m.when === now)
    .toSorted((a, b) => place(a.stepId) - place(b.stepId));
  for (const { pot, stepId, mould, eachG, copies } of all)
    book.move(ACT.onTop(stepId), VESSEL.pot(pot.id), VESSEL.mould(mould), eachG * copies, false);
}

/**
 * All pours in order, then what fills the holes of columns that are pulled (`holes`: g by mould, all its copies), then the top. `ombres` are as they are by now; what is poured is `amounts`, or all there is when the
 * jug has less.
 */
export function pourAll(
  bench: WeighBench,
  ombres: readonly OmbreWeights[],
  amounts: ReadonlyMap<string, Grams>,
  pots: readonly PotTarget[],
  holes: ReadonlyMap<MouldId, Grams>,
): ReadonlyMap<string, PouredFrom> {
  const { plan, book, substances, stepG } = bench;
  const poured = new Map<string, PouredFrom>();
  const intoOf = new Map(pots.flatMap((p) => p.pours.map((q) => [q.key, q.into] as const)));
  const tops = topShares(plan);
  const thickenedPots = new Set<string>();
  const thickened = (potId: PotId): void => {
    if (!thickenedPots.has(potId)) atTrace(bench, potId);
    thickenedPots.add(potId);
  };
  const scrapes = scrapesOf(plan);
  const deposits = depositsOf(plan);
  for (const { pot, mounds } of pots) if (mounds.some((m) => m.when === 'first')) thickened(pot.id);
  besidePours(bench, pots, 'first');
  for (const [nth, deposit] of deposits.entries()) {
    const { key, pour, pot, moulds } = deposit;
    const wantedG = amounts.get(key) ?? 0;
    thickened(pot.id);
    beforePass(bench, ombres, pour.id);
    const cupG = beforePour(bench, deposit, wantedG);
    const vessel = cupG === undefined ? VESSEL.pot(pot.id) : VESSEL.cup(pot.id, pour.id);
    const superfatPercent = superfatIn(book.holds(vessel), substances);
    const into = intoOf.get(key) ?? moulds.map((m) => ({ mould: m.id, copies: m.copies, eachG: 0, offG: 0 }));
    const scrape = scrapes.get(pour.id);
    const at = (mould: MouldId): string => (scrape ? VESSEL.layer(pour.id, mould) : VESSEL.mould(mould));
    const went = new Map(
      shared(into, cupG ?? wantedG, stepG).map(
        ({ mould, massG }) => [mould, book.move(ACT.pour(pour.id), vessel, at(mould), massG, false)] as const,
      ),
    );
    const pouredG = [...went.values()].reduce((s, g) => s + g, 0);
    poured.set(key, { pouredG, into: went, superfatPercent });
    if (deposits[nth + 1]?.pour.id === pour.id) continue;
    if (scrape) scrapeOff(bench, pour, scrape, pots);
    putLines(bench, pour);
  }
  const open = new Map(holes);
  for (const { pot, heldBackG, mounds } of inFillingOrder(plan, pots)) {
    if (heldBackG > 0) thickened(pot.id);
    const spreadG = heldBackG - mounds.reduce((s, m) => s + m.eachG * m.copies, 0);
    const into = [...tops].map(([mould, share]) => ({ mould, copies: 1, eachG: share, offG: 0 }));
    for (const { mould, massG } of shared(into, spreadG, stepG)) {
      const inHoleG = Math.min(massG, toStep(open.get(mould) ?? 0, stepG));
      open.set(mould, (open.get(mould) ?? 0) - inHoleG);
      const [from, to] = [VESSEL.pot(pot.id), VESSEL.mould(mould)];
      book.move(ACT.pull, from, to, inHoleG, false);
      book.move(ACT.top, from, to, massG - inHoleG, false);
    }
  }
  besidePours(bench, pots, 'last');
  return poured;
}
