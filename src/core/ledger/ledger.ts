import { grouped } from './grouped.ts';
import type { Grams } from '../units/quantity.ts';
import { drawn, EMPTY, massOfContents, together, type Contents } from './contents.ts';

/** Where everything comes from that is not yet in a vessel. */
export const SUPPLY = 'supply';

/** One thing put on the scale: so many grams of what `from` holds, into `to`. */
export interface Transfer {
  /** the act it belongs to, as "pot:p1" */
  readonly act: string;
  /** a vessel, or the supply */
  readonly from: string;
  readonly to: string;
  readonly massG: Grams;
  /** weighed on the fine scale */
  readonly fine: boolean;
  /** what went over */
  readonly what: Contents;
  /** the dose of an addition that it is */
  readonly dose?: string;
}

/** The book of a batch: every transfer in order, and what every vessel holds at the end. */
export interface Ledger {
  readonly transfers: readonly Transfer[];
  readonly vessels: ReadonlyMap<string, Contents>;
}

/** A book being written. A vessel that nothing went into yet is empty. */
export interface OpenLedger {
  /** put `massG` of a substance from the supply into a vessel */
  readonly add: (
    act: string,
    substance: string,
    to: string,
    massG: Grams,
    fine: boolean,
    dose?: string,
  ) => void;
  /** draw from a vessel; no more goes over than it holds, and what did is returned */
  readonly move: (act: string, from: string, to: string, massG: Grams, fine: boolean) => Grams;
  readonly holds: (vessel: string) => Contents;
  /** what is written so far */
  readonly written: () => readonly Transfer[];
  readonly close: () => Ledger;
}

/**
 * A vessel holds what went in less what was drawn, mixed; drawing g grams draws all it holds in proportion. So whatever is
 * asked of a jug later (superfat, water, colour, what is left) follows from the transfers alone, and nothing is lost: the
 * sum over all vessels is what came from the supply.
 */
export function openLedger(): OpenLedger {
  const transfers: Transfer[] = [];
  const vessels = new Map<string, Contents>();
  const holds = (vessel: string): Contents => vessels.get(vessel) ?? EMPTY;
  return {
    holds,
    add(act, substance, to, massG, fine, dose) {
      if (massG <= 0) return;
      const what: Contents = new Map([[substance, massG]]);
      vessels.set(to, together([holds(to), what]));
      transfers.push({ act, from: SUPPLY, to, massG, fine, what, ...(dose === undefined ? {} : { dose }) });
    },
    move(act, from, to, massG, fine) {
      const went = Math.min(massG, massOfContents(holds(from)));
      if (went <= 0) return 0;
      const { out, left } = drawn(holds(from), went);
      vessels.set(from, left);
      vessels.set(to, together([holds(to), out]));
      transfers.push({ act, from, to, massG: went, fine, what: out });
      return went;
    },
    written: () => [...transfers],
    close: () => ({ transfers, vessels }),
  };
}

/** A closed book does not change: its transfers by their acts are looked up once. */
const acts = new WeakMap<Ledger, ReadonlyMap<string, readonly Transfer[]>>();

/** The transfers of one act, in order. */
export function transfersOf(ledger: Ledger, act: string): readonly Transfer[] {
  const byAct = acts.get(ledger) ?? grouped(ledger.transfers, (t) => t.act);
  acts.set(ledger, byAct);
  return byAct.get(act) ?? [];
}

/** All that ever went into a vessel. */
export const everIn = (ledger: Ledger, vessel: string): Contents =>
  together(ledger.transfers.filter((t) => t.to === vessel).map((t) => t.what));

/** All that the supply gave: with nothing lost it is what all vessels hold together. */
export const supplied = (ledger: Ledger): Contents =>
  together(ledger.transfers.filter((t) => t.from === SUPPLY).map((t) => t.what));

/** What a vessel holds at the end. */
export const leftIn = (ledger: Ledger, vessel: string): Contents => ledger.vessels.get(vessel) ?? EMPTY;
