import { remembered } from '../task/remembered.ts';
import type { PotId } from '../validate/ids.ts';
import { grouped } from '../ledger/grouped.ts';
import { together, type Contents } from '../ledger/contents.ts';
import type { Ledger, Transfer } from '../ledger/ledger.ts';
import type { Substances } from '../ledger/balance.ts';
import type { Grams } from '../units/quantity.ts';
import type { Substance } from '../ledger/substance.ts';
import { potOfVessel, type Vessel } from '../day/vessel.ts';
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

/** What comes from elsewhere into a pot's jug, its plain batter and its cups, in order, by the pot. */
const intoPots = remembered((ledger: Ledger) =>
  grouped(ledger.transfers, ({ from, to }) => {
    const pot = potOfVessel(to);
    // scrapings were made in another jug, or came out of this one
    return pot === potOfVessel(from) || from.kind === 'layer' ? undefined : pot;
  }),
);

const intoPot = (ledger: Ledger, potId: PotId): readonly Transfer[] => intoPots(ledger).get(potId) ?? [];

/**
 * Everything that is made up in a pot's jug, and in cups for some of its pours: plain batter that stood by
 * counted once.
 */
export const madeUpIn = (ledger: Ledger, potId: PotId): Contents =>
  together(intoPot(ledger, potId).map((t) => t.what));

/** What was weighed into one pot's jug, by kind. */
export function portionIn(ledger: Ledger, substances: Substances, potId: PotId): Portion {
  const into = intoPot(ledger, potId);
  const sum = (...from: readonly Vessel['kind'][]): Grams =>
    into.reduce((s, t) => s + (from.includes(t.from.kind) ? t.massG : 0), 0);
  const fromSupply = into.filter((t) => t.from.kind === 'supply' && t.to.kind !== 'plain');
  const supplied = (...kinds: readonly Substance['kind'][]): Weight[] => {
    const sums = new Map<string, { readonly of: Substance; readonly massG: Grams }>();
    for (const t of fromSupply) {
      for (const [id, massG] of t.what) {
        const of = substances.get(id);
        if (of && kinds.includes(of.kind))
          sums.set(id, { of, massG: clean((sums.get(id)?.massG ?? 0) + massG) });
      }
    }
    return [...sums.values()].map(({ of, massG }) => ({ id: of.of, name: of.name, massG }));
  };
  const own = supplied('oil');
  const fragrances = supplied('fragrance');
  return {
    oilsG: clean(own.reduce((s, o) => s + o.massG, sum('oils', 'stock'))),
    solutionG: clean(sum('lye')),
    waterG: supplied('water').reduce((s, w) => s + w.massG, 0),
    partLiquids: supplied('liquid'),
    additives: supplied('additive', 'late-oil'),
    fragrances,
    fragranceG: clean(fragrances.reduce((s, f) => s + f.massG, 0)),
  };
}
