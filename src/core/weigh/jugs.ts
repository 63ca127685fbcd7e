import { together, type Contents } from '../ledger/contents.ts';
import { SUPPLY, transfersOf, type Ledger } from '../ledger/ledger.ts';
import type { Substances } from '../ledger/balance.ts';
import type { Grams } from '../units/quantity.ts';
import { ACT, VESSEL } from './acts.ts';
import { clean, type Weight } from './ingredients.ts';
import { SUBSTANCE } from './substances.ts';

/** A portion made ready before the lye: what goes into one pot's own jug. */
export interface Portion {
  /** mixed oils, oil-stage additives apart */
  readonly oilsG: Grams;
  /** lye solution: lye, water and what is dissolved with them */
  readonly solutionG: Grams;
  readonly partLiquids: readonly Weight[];
  readonly additives: readonly Weight[];
  readonly fragranceG: Grams;
}

/** Everything that is made up in a pot's jug: what went in, plain batter that stood by for it counted once. */
export function madeUpIn(ledger: Ledger, potId: string): Contents {
  const own = [VESSEL.pot(potId), VESSEL.plain(potId)];
  return together(
    ledger.transfers.filter((t) => own.includes(t.to) && !own.includes(t.from)).map((t) => t.what),
  );
}

/** What was weighed into one pot's jug, by kind. */
export function portionIn(ledger: Ledger, substances: Substances, potId: string): Portion {
  const made = transfersOf(ledger, ACT.pot(potId));
  const combined = transfersOf(ledger, ACT.combine(potId));
  const sum = (list: typeof made, wanted: (from: string) => boolean): Grams =>
    clean(list.reduce((s, t) => s + (wanted(t.from) ? t.massG : 0), 0));
  const weights = (list: typeof made, prefix: string): Weight[] =>
    list.flatMap((t) =>
      [...t.what].flatMap(([id, massG]) =>
        t.from === SUPPLY && id.startsWith(prefix)
          ? [{ id: id.slice(prefix.length), name: substances.get(id)?.name ?? id, massG }]
          : [],
      ),
    );
  return {
    oilsG: sum(made, (from) => from === VESSEL.oils || from.startsWith('stock:')),
    solutionG: sum(combined, (from) => from === VESSEL.lye),
    partLiquids: weights(combined, 'liquid:'),
    additives: weights(made, 'additive:'),
    fragranceG: clean(
      made.reduce((s, t) => s + (t.from === SUPPLY ? (t.what.get(SUBSTANCE.fragrance) ?? 0) : 0), 0),
    ),
  };
}
