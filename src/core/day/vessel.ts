import type { ColorantId, MouldId, OmbreId, PotId, StepId } from '../validate/ids.ts';
import { FIRST } from '../plan/moulds.ts';

/**
 * What a vessel is known by: the same however the rest of the plan changes. It is compared and printed, and
 * never taken apart.
 */
export type VesselKey = string & { readonly __key?: 'vessel' };

/** What something is in, and whose it is. */
type Holds =
  /** where everything comes from that is in no vessel yet */
  | { readonly kind: 'supply' }
  /** the pot that the oils are weighed into; the batch where lye goes into all of them at once */
  | { readonly kind: 'oils' }
  | { readonly kind: 'lye' }
  | { readonly kind: 'carrier-oil' }
  /** all of one kind, filled alike */
  | { readonly kind: 'mould'; readonly mould: MouldId }
  /** a layer that is scraped, until it is */
  | { readonly kind: 'layer'; readonly pour: StepId; readonly mould: MouldId }
  | { readonly kind: 'spare' }
  /** a mould that scrapings go into */
  | { readonly kind: 'spare-mould' }
  | { readonly kind: 'jar'; readonly colorant: ColorantId }
  | { readonly kind: 'stock'; readonly ombre: OmbreId; readonly which: 'first' | 'last' }
  | { readonly kind: 'pot'; readonly pot: PotId }
  /** plain batter kept aside for a pot that goes paler */
  | { readonly kind: 'plain'; readonly pot: PotId }
  /** batter of a pot that something is stirred into for one pour alone */
  | { readonly kind: 'cup'; readonly pot: PotId; readonly pour: StepId };

/** A vessel of a batch. `ofSecond`: of the batch that is piped on top, which shares none with the loaf's. */
export type Vessel = Holds & { readonly key: VesselKey; readonly ofSecond?: true };

type VesselOf<K extends Holds['kind']> = Extract<Vessel, { kind: K }>;

/** The vessels of a batch. */
export const VESSEL = {
  supply: { kind: 'supply', key: 'supply' },
  oils: { kind: 'oils', key: 'oils' },
  lye: { kind: 'lye', key: 'lye' },
  carrierOil: { kind: 'carrier-oil', key: 'carrier-oil' },
  spare: { kind: 'spare', key: 'spare' },
  spareMould: { kind: 'spare-mould', key: 'spare-mould' },
  mould: (mould: MouldId): VesselOf<'mould'> => ({
    kind: 'mould',
    mould,
    key: mould === FIRST ? 'mould' : `mould:${mould}`,
  }),
  layer: (pour: StepId, mould: MouldId): VesselOf<'layer'> => ({
    kind: 'layer',
    pour,
    mould,
    key: `layer:${pour}:${mould}`,
  }),
  jar: (colorant: ColorantId): VesselOf<'jar'> => ({ kind: 'jar', colorant, key: `jar:${colorant}` }),
  stock: (ombre: OmbreId, which: 'first' | 'last'): VesselOf<'stock'> => ({
    kind: 'stock',
    ombre,
    which,
    key: `stock:${ombre}:${which}`,
  }),
  pot: (pot: PotId): VesselOf<'pot'> => ({ kind: 'pot', pot, key: `pot:${pot}` }),
  plain: (pot: PotId): VesselOf<'plain'> => ({ kind: 'plain', pot, key: `plain:${pot}` }),
  cup: (pot: PotId, pour: StepId): VesselOf<'cup'> => ({ kind: 'cup', pot, pour, key: `cup:${pot}:${pour}` }),
} as const satisfies Readonly<Record<string, Vessel | ((...ids: never[]) => Vessel)>>;

/** The same vessel of the batch that is piped on top; the supply is everybody's. */
export const ofSecond = (vessel: Vessel): Vessel =>
  vessel.kind === 'supply' ? vessel : { ...vessel, key: `second:${vessel.key}`, ofSecond: true };

/** The pot whose jug, plain batter or cup a vessel is. */
export const potOfVessel = (vessel: Vessel): PotId | undefined =>
  vessel.kind === 'pot' || vessel.kind === 'plain' || vessel.kind === 'cup' ? vessel.pot : undefined;

/** Batter that goes into one of these does not come back into a jug: what it is then it stays. */
const OUTSIDE: ReadonlySet<Vessel['kind']> = new Set(['mould', 'layer', 'spare', 'spare-mould', 'cup']);

export const isOutside = ({ kind }: Vessel): boolean => OUTSIDE.has(kind);
