import type { Mound } from './mounds.ts';
import type { PotId } from '../validate/ids.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import { depositsOf, type Deposit } from '../plan/deposits.ts';
import { inAll, type MouldUse } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { layerUnder, nextPour, scrapesOf } from '../plan/scrapes.ts';
import { leadPot, potNamed, potsOf } from '../plan/sources.ts';
import type { Pour, Scrape } from '../plan/stepSchema.ts';
import type { Grams } from '../units/quantity.ts';
import type { LayerPart, PouredLayer, PouredStack } from './layers.ts';

/** What is scraped off a layer of what it takes of one pot, g. */
export const scrapedOf = ({ scraping, volumeMl }: PouredLayer, { plannedG }: LayerPart): Grams =>
  scraping && volumeMl > 0 ? (plannedG * scraping.volumeMl) / volumeMl : 0;

/** The pot whose jug the scrapings go into; undefined where they go into none. */
export function jugOfScrapings(plan: Plan, pour: Pour, scrape: Scrape): PotId | undefined {
  if (scrape.to === 'spare') return undefined;
  if (scrape.to === 'pot') return potsOf(pour).length === 1 ? leadPot(pour) : undefined;
  const next = nextPour(plan, scrape);
  return next && leadPot(next);
}

/** Something poured out of a jug, or scrapings that come into it. */
export type JugTurn =
  | { readonly does: 'out'; readonly pot: PotId; readonly key: string; readonly massG: Grams }
  | { readonly does: 'in'; readonly pot: PotId; readonly of: PotId; readonly massG: Grams };

/**
 * What leaves every jug and what comes back into it, in order. `outG` is what a pour takes of a pot, what is
 * scraped off again among it; `offG` is that part; both into all moulds.
 */
export function jugTurns(
  plan: Plan,
  outG: (deposit: Deposit) => Grams,
  offG: (deposit: Deposit) => Grams,
): readonly JugTurn[] {
  const scrapes = scrapesOf(plan);
  const deposits = depositsOf(plan);
  const of = (pour: Pour): readonly Deposit[] => deposits.filter((d) => d.pour === pour);
  return plan.steps.flatMap((step): JugTurn[] => {
    if (step.kind === 'pour')
      return of(step).map((d) => ({ does: 'out', pot: d.pot.id, key: d.key, massG: outG(d) }));
    const pour = step.kind === 'scrape' ? layerUnder(plan, step) : undefined;
    if (step.kind !== 'scrape' || !pour || scrapes.get(pour.id) !== step) return [];
    const to = jugOfScrapings(plan, pour, step);
    return to === undefined
      ? []
      : of(pour).map((d) => ({ does: 'in', pot: to, of: d.pot.id, massG: offG(d) }));
  });
}

/**
 * What of every pour has to be made, by its deposit: all of it, less scrapings that are in the jug by then. A
 * pot is never short: what it is made of in all is the most that was out of its jug at any time.
 */
export function freshOf(turns: readonly JugTurn[]): ReadonlyMap<string, Grams> {
  const madeG = new Map<PotId, Grams>();
  const outG = new Map<PotId, Grams>();
  const fresh = new Map<string, Grams>();
  for (const turn of turns) {
    const { pot, massG } = turn;
    const out = (outG.get(pot) ?? 0) + (turn.does === 'out' ? massG : 0 - massG);
    outG.set(pot, out);
    if (turn.does === 'in') continue;
    const made = madeG.get(pot) ?? 0;
    const more = Math.max(0, out - made);
    fresh.set(turn.key, more);
    madeG.set(pot, made + more);
  }
  return fresh;
}

interface Filled {
  readonly use: MouldUse;
  readonly stack: Pick<PouredStack, 'layers'>;
}

/** What of a deposit is in all moulds, as laid. */
const inMoulds = (
  moulds: readonly Filled[],
  { key, pour }: Deposit,
  of: (layer: PouredLayer, part: LayerPart) => Grams,
): Grams =>
  inAll(moulds, ({ stack }) => {
    const layer = stack.layers.find((l) => l.pour.id === pour.id);
    const part = layer?.parts.find((p) => p.key === key);
    return layer && part ? of(layer, part) : 0;
  });

const keptAndOff = (layer: PouredLayer, part: LayerPart): Grams => part.plannedG + scrapedOf(layer, part);

const turnsIn = (plan: Plan, moulds: readonly Filled[]): readonly JugTurn[] =>
  jugTurns(
    plan,
    (d) => inMoulds(moulds, d, keptAndOff),
    (d) => inMoulds(moulds, d, scrapedOf),
  );

/**
 * Batter that has to be made beyond what stays in the moulds, for what is scraped off and not poured again,
 * g.
 */
export function madeBeyond(plan: Plan, moulds: readonly Filled[]): Grams {
  if (scrapesOf(plan).size === 0) return 0;
  const made = [...freshOf(turnsIn(plan, moulds)).values()].reduce((s, g) => s + g, 0);
  return made - inAll(moulds, (m) => m.stack.layers.reduce((s, l) => s + l.plannedG, 0));
}

const DUST = 1e-9;

/** Two batters stirred together, so much of each. */
function stirred(a: Mix, aG: Grams, b: Mix, bG: Grams): Mix {
  const doses = new Map<string, number>();
  for (const [mix, massG] of [
    [a, aG],
    [b, bG],
  ] as const)
    for (const { colorant, doseGPerKg } of mix)
      doses.set(colorant, (doses.get(colorant) ?? 0) + (doseGPerKg * massG) / (aG + bG));
  return [...doses].map(([colorant, doseGPerKg]) => ({ colorant, doseGPerKg }));
}

/** The mixes of pours that other pots' scrapings were stirred into, by their deposits. */
export function stirredMixes(
  plan: Plan,
  moulds: readonly Filled[],
  mounds: readonly Mound[],
): ReadonlyMap<string, Mix> {
  const mixes = new Map<string, Mix>();
  if (scrapesOf(plan).size === 0) return mixes;
  const turns = turnsIn(plan, moulds);
  const foreign = turns.some((t) => t.does === 'in' && t.of !== t.pot);
  if (!foreign) return mixes;
  const fresh = freshOf(turns);
  const heldG = new Map<PotId, Grams>();
  const kept = [...plan.fill.top, ...mounds.map((m) => ({ pot: m.pot, massG: m.eachG * m.copies }))];
  for (const { pot, massG } of kept)
    heldG.set(pot, (heldG.get(pot) ?? 0) + massG * (1 + plan.fill.overagePercent / 100));
  for (const turn of turns)
    if (turn.does === 'out') heldG.set(turn.pot, (heldG.get(turn.pot) ?? 0) + (fresh.get(turn.key) ?? 0));
  const now = new Map<PotId, Mix>();
  const mixOf = (pot: PotId): Mix => now.get(pot) ?? potNamed(plan, pot)?.colorants ?? [];
  for (const turn of turns) {
    const held = heldG.get(turn.pot) ?? 0;
    if (turn.does === 'out') {
      if (now.has(turn.pot)) mixes.set(turn.key, mixOf(turn.pot));
      heldG.set(turn.pot, held - turn.massG);
      continue;
    }
    const there = Math.max(0, held);
    if (turn.of !== turn.pot && there + turn.massG > DUST)
      now.set(turn.pot, stirred(mixOf(turn.pot), there, mixOf(turn.of), turn.massG));
    heldG.set(turn.pot, there + turn.massG);
  }
  return mixes;
}
