import type { ActId } from '../day/act.ts';
import { VESSEL, type Vessel, type VesselKey } from '../day/vessel.ts';
import type { Grams } from '../units/quantity.ts';
import { drawFrom, EMPTY, massOfContents, together, type Contents } from './contents.ts';

/** One thing put on the scale: so many grams of what `from` holds, into `to`. */
export interface Transfer {
  /** the act it belongs to */
  readonly act: ActId;
  /** a vessel, or the supply */
  readonly from: Vessel;
  readonly to: Vessel;
  readonly massG: Grams;
  /** weighed on the fine scale */
  readonly fine: boolean;
  /** what went over */
  readonly what: Contents;
  /** the dose of an addition that it is */
  readonly dose?: string;
}

/** The transfers of one act, by their places: from the first to before the end. */
interface Span {
  readonly from: number;
  readonly to: number;
}

/** What a vessel holds once a transfer, by its place, is done. */
interface Held {
  readonly at: number;
  readonly holds: Contents;
}

/** The book of a batch: every act with its transfers in order, and what every vessel held at any time. */
export interface Ledger {
  readonly transfers: readonly Transfer[];
  readonly acts: ReadonlyMap<ActId, Span>;
  /** every vessel that anything was ever in, with all that it held, in order */
  readonly held: ReadonlyMap<VesselKey, readonly Held[]>;
  readonly vessels: ReadonlyMap<VesselKey, Vessel>;
}

/** A book being written, act by act. A vessel that nothing went into yet is empty. */
export interface OpenLedger {
  /** what follows is of this act, which is begun once */
  readonly begin: (act: ActId) => void;
  /** put `massG` of a substance from the supply into a vessel */
  readonly add: (substance: string, to: Vessel, massG: Grams, fine: boolean, dose?: string) => void;
  /** draw from a vessel; no more goes over than it holds, and what did is returned */
  readonly move: (from: Vessel, to: Vessel, massG: Grams, fine: boolean) => Grams;
  readonly holds: (vessel: Vessel) => Contents;
  readonly close: () => Ledger;
}

/**
 * A vessel holds what went in less what was drawn, mixed; drawing g grams draws all it holds in proportion.
 * So whatever is asked of a jug later (superfat, water, colour, what is left) follows from the transfers
 * alone, and nothing is lost: the sum over all vessels is what came from the supply.
 */
export function openLedger(): OpenLedger {
  const transfers: Transfer[] = [];
  const acts = new Map<ActId, Span>();
  const held = new Map<VesselKey, Held[]>();
  const vessels = new Map<VesselKey, Vessel>();
  let act: ActId | undefined;
  let since = 0;
  const holds = ({ key }: Vessel): Contents => held.get(key)?.at(-1)?.holds ?? EMPTY;
  const now = (vessel: Vessel, contents: Contents): void => {
    const all = held.get(vessel.key) ?? [];
    if (all.length === 0) {
      held.set(vessel.key, all);
      vessels.set(vessel.key, vessel);
    }
    all.push({ at: transfers.length, holds: contents });
  };
  const end = (): void => {
    if (act !== undefined) acts.set(act, { from: since, to: transfers.length });
  };
  const write = (t: Omit<Transfer, 'act'>): void => {
    if (act === undefined) throw new Error('a transfer belongs to an act');
    transfers.push({ act, ...t });
  };
  return {
    holds,
    begin(next) {
      if (acts.has(next) || next === act) throw new Error(`${next} is done once`);
      end();
      act = next;
      since = transfers.length;
    },
    add(substance, to, massG, fine, dose) {
      if (massG <= 0) return;
      const what: Contents = new Map([[substance, massG]]);
      now(to, together([holds(to), what]));
      write({ from: VESSEL.supply, to, massG, fine, what, ...(dose === undefined ? {} : { dose }) });
    },
    move(from, to, massG, fine) {
      const went = Math.min(massG, massOfContents(holds(from)));
      if (went < DUST_G) return 0;
      const { out, left } = drawFrom(holds(from), went);
      now(from, left);
      now(to, together([holds(to), out]));
      write({ from, to, massG: went, fine, what: out });
      return went;
    },
    close() {
      end();
      return { transfers, acts, held, vessels };
    },
  };
}

/** Less than this is a double's dust, and not put on any scale, g. */
const DUST_G: Grams = 1e-6;

const NOTHING: Span = { from: 0, to: 0 };

/** The transfers of one act, in order. */
export function transfersOf({ transfers, acts }: Ledger, act: ActId): readonly Transfer[] {
  const { from, to } = acts.get(act) ?? NOTHING;
  return transfers.slice(from, to);
}

/** What a vessel holds before the transfer of this place is done. */
const heldAt = ({ held }: Ledger, { key }: Vessel, place: number): Contents =>
  held.get(key)?.findLast((h) => h.at < place)?.holds ?? EMPTY;

/** What an act finds in a vessel. */
export const heldBefore = (ledger: Ledger, act: ActId, vessel: Vessel): Contents =>
  heldAt(ledger, vessel, (ledger.acts.get(act) ?? NOTHING).from);

/** What an act leaves in a vessel. */
export const heldAfter = (ledger: Ledger, act: ActId, vessel: Vessel): Contents =>
  heldAt(ledger, vessel, (ledger.acts.get(act) ?? NOTHING).to);

/** What a vessel holds at the end. */
export const leftIn = (ledger: Ledger, { key }: Vessel): Contents =>
  ledger.held.get(key)?.at(-1)?.holds ?? EMPTY;

/** All that ever went into a vessel. */
export const everIn = (ledger: Ledger, vessel: Vessel): Contents =>
  together(ledger.transfers.filter((t) => t.to.key === vessel.key).map((t) => t.what));

/** All that the supply gave: with nothing lost it is what all vessels hold together. */
export const supplied = (ledger: Ledger): Contents =>
  together(ledger.transfers.filter((t) => t.from.kind === 'supply').map((t) => t.what));
