import type { Computed } from '../computed/compute.ts';
import type { ActId, DayAct } from '../day/act.ts';
import { ofSecond, type Vessel } from '../day/vessel.ts';
import { vesselName } from '../day/vesselName.ts';
import { massOfKinds, superfatIn, waterIn } from '../ledger/balance.ts';
import { massOfContents } from '../ledger/contents.ts';
import { heldAfter, transfersOf, type Transfer } from '../ledger/ledger.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { clean } from '../weigh/ingredients.ts';
import type { Weights } from '../weigh/weights.ts';
import { nameOf } from './lines.ts';

/** Something that went into a vessel, or out of it, in one act. */
export interface Moved {
  readonly name: string;
  /** less than nothing: it went out */
  readonly massG: Grams;
  readonly fine: boolean;
}

/** A vessel once an act is done: what that put into it or took out of it, and what it holds then. */
export interface VesselAfter {
  readonly vessel: Vessel;
  readonly name: string;
  readonly moved: readonly Moved[];
  readonly holdsG: Grams;
  /** undefined where it has no oil, or no lye yet */
  readonly superfatPercent: Percent | undefined;
  /** of what it holds */
  readonly waterPercent: Percent;
  readonly scentPercent: Percent;
  /** with its weight empty, where that is known */
  readonly readsG: Grams | undefined;
}

/** One act of the day and every vessel that it touches. */
export interface LedgerEntry {
  readonly act: ActId;
  readonly vessels: readonly VesselAfter[];
}

/** What a double leaves in a vessel that was emptied, g. */
const DUST_G: Grams = 1e-6;

/** Together in one vessel: out of another, or from the shelf. */
function movedIn(
  computed: Computed,
  w: Weights,
  transfers: readonly Transfer[],
  { key }: Vessel,
): readonly Moved[] {
  return transfers.flatMap((t): readonly Moved[] => {
    const into = t.to.key === key;
    if (!into && t.from.key !== key) return [];
    const other = into ? t.from : t.to;
    const name =
      other.kind === 'supply'
        ? nameOf(computed, w, t)
        : `${into ? 'from' : 'to'} ${vesselName(computed.plan, other)}`;
    return [{ name, massG: clean(into ? t.massG : 0 - t.massG), fine: t.fine }];
  });
}

function after(
  computed: Computed,
  w: Weights,
  act: ActId,
  vessel: Vessel,
  transfers: readonly Transfer[],
): VesselAfter {
  const holds = heldAfter(w.ledger, act, vessel);
  const massG = massOfContents(holds);
  const empty = massG < DUST_G;
  const part = (g: Grams): Percent => (empty ? 0 : (g / massG) * 100);
  const pot = vessel.kind === 'pot' ? computed.plan.pots.find((p) => p.id === vessel.pot) : undefined;
  return {
    vessel,
    name: vesselName(computed.plan, vessel),
    moved: movedIn(computed, w, transfers, vessel),
    holdsG: clean(massG),
    superfatPercent: empty ? undefined : superfatIn(holds, w.substances),
    waterPercent: part(waterIn(holds, w.substances)),
    scentPercent: part(massOfKinds(holds, w.substances, ['fragrance'])),
    readsG: pot?.jug && clean(massG + pot.jug.tareG),
  };
}

/** Every vessel that one act touches, as it is once that is done; the shelf is none. */
export function vesselsAfter(computed: Computed, act: DayAct): readonly VesselAfter[] {
  if (act.does === 'of-second')
    return computed.second
      ? vesselsAfter(computed.second, act.act).map((v) => ({ ...v, vessel: ofSecond(v.vessel) }))
      : [];
  const { weights: w } = computed;
  const transfers = w ? transfersOf(w.ledger, act.id) : [];
  const touched = new Map(transfers.flatMap((t) => [t.to, t.from].map((v) => [v.key, v] as const)));
  return [...touched.values()].flatMap((vessel) =>
    w && vessel.kind !== 'supply' ? [after(computed, w, act.id, vessel, transfers)] : [],
  );
}

/** What is in every vessel, act by act: read off the book. Empty while something in the plan is refused. */
export const jugLedger = (computed: Computed): readonly LedgerEntry[] =>
  computed.day.flatMap((act): readonly LedgerEntry[] => {
    const vessels = vesselsAfter(computed, act);
    return vessels.length > 0 ? [{ act: act.id, vessels }] : [];
  });
