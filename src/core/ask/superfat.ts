import { needOf, superfatIn, type Substances } from '../ledger/balance.ts';
import { drawFrom, EMPTY, massOfContents, together, type Contents } from '../ledger/contents.ts';
import type { ActId } from '../day/act.ts';
import { isOutside, type Vessel, type VesselKey } from '../day/vessel.ts';
import type { Ledger, Transfer } from '../ledger/ledger.ts';
import type { Grams, Percent } from '../units/quantity.ts';

/** A superfat below this is more lye than the oils can use; nearer to nothing is a double's dust, percent. */
const NONE = -1e-9;

export const isLyeHeavy = (superfatPercent: Percent | undefined): boolean =>
  superfatPercent !== undefined && superfatPercent < NONE;

/** Something that went out of a vessel for good: into a mould, a mat, a bag, a cup or a spare tray. */
export interface Leaving {
  readonly act: ActId;
  readonly from: Vessel;
  readonly to: Vessel;
  readonly massG: Grams;
  /** of what went; undefined where it has no oil, or no lye yet */
  readonly superfatPercent: Percent | undefined;
}

/** A vessel that has more lye than its oils can use once an act is done. */
export interface LyeHeavy {
  readonly act: ActId;
  readonly vessel: Vessel;
  /** what it holds then */
  readonly massG: Grams;
  readonly superfatPercent: Percent;
  /** the acts that bring what cures it or what is drawn of it, and what that is; nothing: it stays so */
  readonly cures: readonly Cure[];
  /** pure NaOH in it beyond what its oils can use, g */
  readonly beyondG: Grams;
}

export interface Cure {
  readonly act: ActId;
  readonly vessel: Vessel;
  /** substances that bring oil, by id */
  readonly with: readonly string[];
}

export interface SuperfatAsked {
  readonly leaving: readonly Leaving[];
  /** the first act after which a vessel is so; once more where it was cured in between */
  readonly lyeHeavy: readonly LyeHeavy[];
}

/** What vessels hold, followed through one more transfer. */
function follow(held: Map<VesselKey, Contents>, { from, to, massG, what }: Transfer): void {
  if (from.kind !== 'supply') held.set(from.key, drawFrom(held.get(from.key) ?? EMPTY, massG).left);
  held.set(to.key, together([held.get(to.key) ?? EMPTY, what]));
}

/**
 * What cures a lye-heavy vessel from a place in the book on: oil that comes into it, or into what is drawn of
 * it. What leaves it for good is no cure, and is asked by itself.
 */
function curesOf(
  { transfers }: Ledger,
  known: Substances,
  start: { readonly vessel: Vessel; readonly holds: Contents; readonly at: number },
): readonly Cure[] {
  const cures: Cure[] = [];
  // only what is drawn of the vessel is followed: each part by itself, until it is cured
  const held = new Map([[start.vessel.key, start.holds]]);
  const open = new Set([start.vessel.key]);
  for (const t of transfers.slice(start.at)) {
    if (open.size === 0) break;
    const out = open.has(t.from.key);
    if (!out && !open.has(t.to.key)) continue;
    follow(held, t);
    if (out && !isOutside(t.to)) open.add(t.to.key);
    const holds = held.get(t.to.key) ?? EMPTY;
    if (!open.has(t.to.key) || isLyeHeavy(superfatIn(holds, known))) continue;
    open.delete(t.to.key);
    const oily = [...holds.keys()].filter(
      (id) => (known.get(id)?.needsNaoh ?? 0) > 0 && !start.holds.has(id),
    );
    cures.push({ act: t.act, vessel: t.to, with: oily });
  }
  return cures;
}

/** Superfat of everything that goes out of a vessel for good. */
const leavingOf = ({ transfers }: Ledger, known: Substances): readonly Leaving[] =>
  transfers.flatMap(({ act, from, to, massG, what }) =>
    from.kind !== 'supply' && isOutside(to)
      ? [{ act, from, to, massG, superfatPercent: superfatIn(what, known) }]
      : [],
  );

/**
 * Superfat of every vessel after every act, and of everything that leaves one, as the book has it: the one
 * place where it is asked.
 */
export function askSuperfat(ledger: Ledger, known: Substances): SuperfatAsked {
  const { transfers, acts } = ledger;
  const lyeHeavy: LyeHeavy[] = [];
  const heavyNow = new Set<VesselKey>();
  // what each vessel held is gone through once, transfer by transfer
  const times = new Map<VesselKey, number>();
  const holdsNow = ({ key }: Vessel): Contents => {
    const nth = times.get(key) ?? 0;
    times.set(key, nth + 1);
    return ledger.held.get(key)?.[nth]?.holds ?? EMPTY;
  };
  for (const [act, { from, to }] of acts) {
    const touched = new Map<Vessel['key'], { readonly vessel: Vessel; readonly holds: Contents }>();
    for (let i = from; i < to; i += 1) {
      const t = transfers[i] as Transfer;
      for (const vessel of [t.from, t.to])
        if (vessel.kind !== 'supply' && !isOutside(vessel))
          touched.set(vessel.key, { vessel, holds: holdsNow(vessel) });
    }
    for (const [key, { vessel, holds }] of touched) {
      const superfatPercent = superfatIn(holds, known);
      if (superfatPercent === undefined || !isLyeHeavy(superfatPercent)) {
        heavyNow.delete(key);
        continue;
      }
      if (heavyNow.has(key)) continue;
      heavyNow.add(key);
      lyeHeavy.push({
        act,
        vessel,
        massG: massOfContents(holds),
        superfatPercent,
        beyondG: (needOf(holds, known) * (0 - superfatPercent)) / 100,
        cures: curesOf(ledger, known, { vessel, holds, at: to }),
      });
    }
  }
  return { leaving: leavingOf(ledger, known), lyeHeavy };
}
