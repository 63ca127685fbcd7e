import type { PotId } from '../validate/ids.ts';
import { grouped } from '../ledger/grouped.ts';
import { together, type Contents } from '../ledger/contents.ts';
import { SUPPLY, transfersOf, type Ledger, type Transfer } from '../ledger/ledger.ts';
import type { Substances } from '../ledger/balance.ts';
import type { Grams } from '../units/quantity.ts';
import type { Substance } from '../ledger/substance.ts';
import { ACT, potOfVessel, VESSEL } from './acts.ts';
import { clean, type Weight } from './ingredients.ts';

/** A portion made ready before the lye: what goes into one pot's own jug. */
export interface Portion {
  /** mixed oils, oil-stage additives apart */
  readonly oilsG: Grams;
  /** lye solution: lye, water and what is dissolved with them */
  readonly solutionG: Grams;
  /** plain water beyond what the lye solution brings */
  readonly waterG: Grams;
  readonly partLiquids: readonly Weight[];
  /** oils stirred in late among them */
  readonly additives: readonly Weight[];
  readonly fragrances: readonly Weight[];
  readonly fragranceG: Grams;
}

const known = new WeakMap<Ledger, ReadonlyMap<PotId, readonly Transfer[]>>();

/** What comes from elsewhere into a pot's jug, its plain batter and its cups, in order. */
function intoPot(ledger: Ledger, potId: PotId): readonly Transfer[] {
  const byPot =
    known.get(ledger) ??
    grouped(ledger.transfers, ({ from, to }) => {
      const pot = potOfVessel(to);
      // scrapings were made in another jug, or came out of this one
      return pot === potOfVessel(from) || from.startsWith('layer:') ? undefined : pot;
    });
  known.set(ledger, byPot);
  return byPot.get(potId) ?? [];
}

/** Everything that is made up in a pot's jug, and in cups for some of its pours: plain batter that stood by counted once. */
export const madeUpIn = (ledger: Ledger, potId: PotId): Contents =>
  together(intoPot(ledger, potId).map((t) => t.what));

/** What was weighed into one pot's jug, by kind. */
export function portionIn(ledger: Ledger, substances: Substances, potId: PotId): Portion {
  const made = transfersOf(ledger, ACT.pot(potId));
  const combined = transfersOf(ledger, ACT.combine(potId));
  const sum = (list: typeof made, wanted: (t: (typeof made)[number]) => boolean): Grams =>
    clean(list.reduce((s, t) => s + (wanted(t) ? t.massG : 0), 0));
  const fromSupply = intoPot(ledger, potId).filter((t) => t.from === SUPPLY && t.to !== VESSEL.plain(potId));
  const supplied = (wanted: (s: Substance) => boolean): Weight[] => {
    const sums = new Map<string, Grams>();
    for (const t of fromSupply) {
      for (const [id, massG] of t.what) {
        const substance = substances.get(id);
        if (substance && wanted(substance)) sums.set(id, clean((sums.get(id) ?? 0) + massG));
      }
    }
    return [...sums].map(([id, massG]) => ({
      id: id.slice(id.indexOf(':') + 1),
      name: substances.get(id)?.name ?? id,
      massG,
    }));
  };
  const own = supplied((s) => s.kind === 'oil');
  const fragrances = supplied((s) => s.kind === 'fragrance');
  return {
    oilsG: clean(
      sum(made, (t) => t.from === VESSEL.oils || t.from.startsWith('stock:')) +
        own.reduce((s, o) => s + o.massG, 0),
    ),
    solutionG: sum(combined, (t) => t.from === VESSEL.lye),
    waterG: supplied((s) => s.kind === 'water').reduce((s, w) => s + w.massG, 0),
    partLiquids: supplied((s) => s.kind === 'liquid'),
    additives: supplied((s) => s.kind === 'additive' || s.kind === 'late-oil'),
    fragrances,
    fragranceG: clean(fragrances.reduce((s, f) => s + f.massG, 0)),
  };
}
