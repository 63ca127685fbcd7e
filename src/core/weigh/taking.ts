import type { ActId, ActOf, Drawing } from '../day/act.ts';
import { VESSEL, type Vessel } from '../day/vessel.ts';
import { jugOfScrapings } from '../fill/scrapings.ts';
import { massOfContents } from '../ledger/contents.ts';
import type { Deposit } from '../plan/deposits.ts';
import { usesAbout } from '../plan/moulds.ts';
import { layerUnder, scrapesOf } from '../plan/scrapes.ts';
import type { MicaLine, Pour, Scrape } from '../plan/stepSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import { plannedPot, type Weighing } from './bench.ts';
import { sharedOut, type Part } from './sharedOut.ts';
import { stirIn } from './stirs.ts';
import { SUBSTANCE } from './substances.ts';
import { placeInFilling, type PotTarget } from './targets.ts';

/** What was poured of one pot by one pour. */
export interface PouredFrom {
  readonly act: ActId;
  readonly pouredG: Grams;
  /** into each mould that it goes into: all of one kind together, by the mould's id */
  readonly into: ReadonlyMap<MouldId, Grams>;
}

/** What is taken of the pots, while that is done. */
export interface Taking extends Weighing {
  readonly targets: readonly PotTarget[];
  readonly deposits: readonly Deposit[];
  /** what each deposit is to take */
  readonly amounts: ReadonlyMap<string, Grams>;
  /** cups that something was stirred into for one taking alone, by its key, with what they hold then */
  readonly cups: Map<string, { readonly cup: Vessel; readonly massG: Grams }>;
  readonly poured: Map<string, PouredFrom>;
}

/** Something that is taken of a pot, into one kind of mould or several. */
interface Wanted {
  readonly key: string;
  readonly pot: PotId;
  readonly into: readonly Part[];
  readonly massG: Grams;
}

const wanted = (key: string, pot: PotId, into: readonly Part[]): Wanted => ({
  key,
  pot,
  into,
  massG: into.reduce((s, i) => s + i.eachG * i.copies, 0),
});

const inFillingOrder = ({ plan, targets }: Taking): readonly PotTarget[] =>
  targets.toSorted((a, b) => placeInFilling(plan, a.pot.id) - placeInFilling(plan, b.pot.id));

/** What the hollows of a mat take of each pot, or the holes of columns that are pulled; pot after pot. */
const besidePours = (w: Taking, step: Exclude<Drawing, Pour>): readonly Wanted[] =>
  step.kind === 'ridges'
    ? w.targets.map(({ pot, mounds }) =>
        wanted(
          step.id,
          pot.id,
          mounds.filter((m) => m.when === 'first' && m.stepId === step.id),
        ),
      )
    : inFillingOrder(w).map(({ pot, held }) =>
        wanted(
          `${step.id}:${pot.id}`,
          pot.id,
          held.flatMap(({ mould, pulled }) =>
            pulled?.stepId === step.id ? [{ mould, copies: 1, eachG: pulled.massG }] : [],
          ),
        ),
      );

/** What one pour is to take of one of its pots. */
function wantedOf({ targets, amounts }: Taking, { key, pot, moulds }: Deposit): Wanted {
  const into =
    targets.find((p) => p.pot.id === pot.id)?.pours.find((q) => q.key === key)?.into ??
    moulds.map((m) => ({ mould: m.id, copies: m.copies, eachG: 0 }));
  return { key, pot: pot.id, into, massG: amounts.get(key) ?? 0 };
}

const wantedBy = (w: Taking, step: Drawing): readonly Wanted[] =>
  step.kind === 'pour'
    ? w.deposits.filter((d) => d.pour === step).map((d) => wantedOf(w, d))
    : besidePours(w, step).filter((x) => x.massG > 0);

/**
 * What is stirred in just before something is taken of a pot: into all that the jug holds, or, where more is
 * poured of it later, into a cup with that part's batter alone; all of the cup is poured then.
 */
export function stirBefore(w: Taking, { step, pot, key }: ActOf<'stir-before'>): void {
  const { book, stepG } = w;
  const here = (plannedPot(w, pot.id)?.stirs ?? []).filter(
    (s) => s.moment === 'pour' && s.before === step.id,
  );
  const own = here.length > 0 && wantedBy(w, step).find((x) => x.key === key && x.pot === pot.id);
  if (!own) return;
  const jug = VESSEL.pot(pot.id);
  stirIn(
    book,
    jug,
    here.filter((s) => !s.cup),
  );
  const intoCup = here.filter((s) => s.cup);
  if (intoCup.length === 0) return;
  const cup = VESSEL.cup(pot.id, step.id);
  const stirredG = intoCup.reduce((s, x) => s + x.massG, 0);
  book.move(jug, cup, toStep(Math.max(0, own.massG - stirredG), stepG), false);
  stirIn(book, cup, intoCup);
  w.cups.set(key, { cup, massG: massOfContents(book.holds(cup)) });
}

/**
 * What is wanted of one pot, out of its jug or of the cup that was made ready, into every mould that it is
 * for; g into each.
 */
function takeOut(
  w: Taking,
  { key, pot, into, massG }: Wanted,
  at: (mould: MouldId) => Vessel | undefined = VESSEL.mould,
): ReadonlyMap<MouldId, Grams> {
  const { cup: from, massG: allG } = w.cups.get(key) ?? { cup: VESSEL.pot(pot), massG };
  return new Map(
    sharedOut(into, allG, w.stepG).map(({ mould, massG: hereG }) => {
      const to = at(mould);
      return [mould, to ? w.book.move(from, to, hereG, false) : 0] as const;
    }),
  );
}

/**
 * One pour out of all its pots: into its moulds, or a layer that is scraped before it is one with the rest.
 */
export function pourOut(w: Taking, act: ActId, step: Pour): void {
  const scraped = scrapesOf(w.plan).has(step.id);
  const at = (mould: MouldId): Vessel => (scraped ? VESSEL.layer(step.id, mould) : VESSEL.mould(mould));
  for (const own of wantedBy(w, step)) {
    const into = takeOut(w, own, at);
    w.poured.set(own.key, { act, pouredG: [...into.values()].reduce((s, g) => s + g, 0), into });
  }
}

/** The hollows of a mat, in every mould that has one. */
export function fillRidges(w: Taking, { step }: ActOf<'fill-ridges'>): void {
  for (const own of wantedBy(w, step)) takeOut(w, own);
}

/** What is held back, into the holes of one kind of mould. */
export function fillHoles(w: Taking, { step, mould }: ActOf<'pull'>): void {
  for (const own of wantedBy(w, step)) takeOut(w, own, (m) => (m === mould ? VESSEL.mould(m) : undefined));
}

/** What a scraper takes of a layer goes where it is to go; the rest stays in the mould. */
export function scrapeOff({ plan, book, targets }: Taking, scrape: Scrape): void {
  const pour = layerUnder(plan, scrape);
  if (!pour || scrapesOf(plan).get(pour.id) !== scrape) return;
  const jug = jugOfScrapings(plan, pour, scrape);
  const to = jug === undefined ? VESSEL.spareMould : VESSEL.pot(jug);
  const into = targets.flatMap((p) => p.pours.filter((q) => q.stepId === pour.id).flatMap((q) => q.into));
  for (const mould of new Set(into.map((i) => i.mould))) {
    const layer = VESSEL.layer(pour.id, mould);
    const offG = into.reduce((s, i) => s + (i.mould === mould ? i.offG * i.copies : 0), 0);
    book.move(layer, to, offG, false);
    book.move(layer, VESSEL.mould(mould), massOfContents(book.holds(layer)), false);
  }
}

/** A line of colorant over the layer that was poured, in every mould that it is for. */
export function putLine({ plan, book }: Taking, line: MicaLine): void {
  if (!layerUnder(plan, line)) return;
  for (const { id, copies } of usesAbout(plan, line))
    book.add(SUBSTANCE.colorant(line.colorant), VESSEL.mould(id), line.massG * copies, true);
}

/** What is held back beyond holes, spread over the top. */
export function spreadTop(w: Taking): void {
  for (const { pot, held } of inFillingOrder(w))
    for (const { mould, topG } of held) w.book.move(VESSEL.pot(pot.id), VESSEL.mould(mould), topG, false);
}

/** What is heaped on one kind of mould. */
export function heapOn({ book, targets }: Taking, step: StepId, on: MouldId): void {
  for (const { pot, mounds } of targets)
    for (const { stepId, mould, eachG, copies, when } of mounds)
      if (when === 'last' && stepId === step && mould === on)
        book.move(VESSEL.pot(pot.id), VESSEL.mould(mould), eachG * copies, false);
}
