import { needOf, superfatIn, type Substances } from '../ledger/balance.ts';
import { drawn, EMPTY, massOfContents, together, type Contents } from '../ledger/contents.ts';
import { SUPPLY, type Ledger, type Transfer } from '../ledger/ledger.ts';
import type { Grams, Percent } from '../units/quantity.ts';

/** A superfat below this is more lye than the oils can use; nearer to nothing is a double's dust, percent. */
const NONE = -1e-9;

export const isLyeHeavy = (superfatPercent: Percent | undefined): boolean =>
  superfatPercent !== undefined && superfatPercent < NONE;

/** Something that went out of a vessel for good: into a mould, a mat, a bag, a cup or a spare tray. */
export interface Leaving {
  readonly act: string;
  readonly from: string;
  readonly to: string;
  readonly massG: Grams;
  /** of what went; undefined where it has no oil, or no lye yet */
  readonly superfatPercent: Percent | undefined;
}

/** A vessel that has more lye than its oils can use once an act is done. */
export interface LyeHeavy {
  readonly act: string;
  readonly vessel: string;
  /** what it holds then */
  readonly massG: Grams;
  readonly superfatPercent: Percent;
  /** the acts that bring what cures it or what is drawn of it, and what that is; nothing: it stays so */
  readonly cures: readonly Cure[];
  /** pure NaOH in it beyond what its oils can use, g */
  readonly beyondG: Grams;
}

export interface Cure {
  readonly act: string;
  readonly vessel: string;
  /** substances that bring oil, by id */
  readonly with: readonly string[];
}

export interface SuperfatAsked {
  readonly leaving: readonly Leaving[];
  /** the first act after which a vessel is so; once more where it was cured in between */
  readonly lyeHeavy: readonly LyeHeavy[];
}

/** What vessels hold, followed through one more transfer. */
function follow(held: Map<string, Contents>, { from, to, massG, what }: Transfer): void {
  if (from !== SUPPLY) held.set(from, drawn(held.get(from) ?? EMPTY, massG).left);
  held.set(to, together([held.get(to) ?? EMPTY, what]));
}

/**
 * What cures a lye-heavy vessel from a place in the book on: oil that comes into it, or into what is drawn of it. What leaves it
 * for good is no cure, and is asked by itself.
 */
function curesOf(
  { transfers }: Ledger,
  known: Substances,
  leaves: (vessel: string) => boolean,
  start: { readonly vessel: string; readonly holds: Contents; readonly at: number },
): readonly Cure[] {
  const cures: Cure[] = [];
  // only what is drawn of the vessel is followed: each part by itself, until it is cured
  const held = new Map([[start.vessel, start.holds]]);
  const open = new Set([start.vessel]);
  for (const t of transfers.slice(start.at)) {
    if (open.size === 0) break;
    const out = open.has(t.from);
    if (!out && !open.has(t.to)) continue;
    follow(held, t);
    if (out && !leaves(t.to)) open.add(t.to);
    const holds = held.get(t.to) ?? EMPTY;
    if (!open.has(t.to) || isLyeHeavy(superfatIn(holds, known))) continue;
    open.delete(t.to);
    const oily = [...holds.keys()].filter(
      (id) => (known.get(id)?.needsNaoh ?? 0) > 0 && !start.holds.has(id),
    );
    cures.push({ act: t.act, vessel: t.to, with: oily });
  }
  return cures;
}

/**
 * Superfat of every vessel after every act, and of everything that leaves one, as the book has it: the one place where it is asked.
 * `leaves`: a vessel that what goes into it does not come back from.
 */
export function askSuperfat(
  ledger: Ledger,
  known: Substances,
  leaves: (vessel: string) => boolean,
): SuperfatAsked {
  const { transfers } = ledger;
  const leaving: Leaving[] = [];
  const lyeHeavy: LyeHeavy[] = [];
  const held = new Map<string, Contents>();
  const heavyNow = new Set<string>();
  let touched = new Set<string>();
  for (const [i, t] of transfers.entries()) {
    const { act, from, to, massG, what } = t;
    if (from !== SUPPLY && leaves(to))
      leaving.push({ act, from, to, massG, superfatPercent: superfatIn(what, known) });
    follow(held, t);
    touched.add(from).add(to);
    if (transfers[i + 1]?.act === act) continue;
    for (const vessel of touched) {
      const holds = held.get(vessel) ?? EMPTY;
      const superfatPercent = superfatIn(holds, known);
      const heavy = !leaves(vessel) && superfatPercent !== undefined && isLyeHeavy(superfatPercent);
      if (heavy && !heavyNow.has(vessel))
        lyeHeavy.push({
          act,
          vessel,
          massG: massOfContents(holds),
          superfatPercent,
          beyondG: (needOf(holds, known) * (0 - superfatPercent)) / 100,
          cures: curesOf(ledger, known, leaves, { vessel, holds, at: i + 1 }),
        });
      if (heavy) heavyNow.add(vessel);
      else heavyNow.delete(vessel);
    }
    touched = new Set();
  }
  return { leaving, lyeHeavy };
}
