import type { ColorantId, MouldId, OmbreId, PotId, StepId } from '../validate/ids.ts';
import { FIRST } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';

/** Names of the vessels of a batch, as the ledger has them. */
export const VESSEL = {
  /** the pot that the oils are weighed into; the batch where lye goes into all of them at once */
  oils: 'oils',
  lye: 'lye',
  carrierOil: 'carrier-oil',
  /** all of one kind, filled alike; the first has no id of its own */
  mould: (id: MouldId) => (id === FIRST ? 'mould' : `mould:${id}`),
  spare: 'spare',
  jar: (colorant: ColorantId) => `jar:${colorant}`,
  stock: (ombre: OmbreId, which: 'first' | 'last') => `stock:${ombre}:${which}`,
  pot: (pot: PotId) => `pot:${pot}`,
  /** plain batter kept aside for a pot that goes paler */
  plain: (pot: PotId) => `plain:${pot}`,
  /** a layer that is scraped, until it is */
  layer: (pour: StepId, mould: MouldId) => `layer:${pour}:${mould}`,
  /** a mould that scrapings go into */
  spareMould: 'spare-mould',
  /** batter of a pot that something is stirred into for one pour alone */
  cup: (pot: PotId, pour: StepId) => `cup:${pot}:${pour}`,
} as const;

/** Names of the acts of a batch: what one instruction of the sheet does. */
export const ACT = {
  oils: 'oils',
  carrierOil: 'carrier-oil',
  inOils: 'in-oils',
  water: 'water',
  inWater: 'in-water',
  lye: 'lye',
  inHotLye: 'in-hot-lye',
  /** into the cooled lye */
  dissolve: 'dissolve',
  emulsify: 'emulsify',
  inEmulsion: 'in-emulsion',
  trace: 'trace',
  scent: 'scent',
  disperse: (colorant: ColorantId) => `disperse:${colorant}`,
  stock: (ombre: OmbreId, which: 'first' | 'last') => `stock:${ombre}:${which}`,
  pot: (pot: PotId) => `pot:${pot}`,
  /** what a pot of one batch gets for itself: colour, and what is stirred in with it */
  potColour: (pot: PotId) => `pot-colour:${pot}`,
  combine: (pot: PotId) => `combine:${pot}`,
  /** into one pot by itself, once it holds as an emulsion */
  potEmulsion: (pot: PotId) => `pot-emulsion:${pot}`,
  /** into one pot by itself, once it has thickened */
  potTrace: (pot: PotId) => `pot-trace:${pot}`,
  pass: (pour: StepId) => `pass:${pour}`,
  /** into one pot just before something is poured of it: by the deposit's key, as each pot of a pour is stirred by itself */
  stir: (key: string) => `stir:${key}`,
  pour: (pour: StepId) => `pour:${pour}`,
  /** off the layer that was poured last */
  scrape: (scrape: StepId) => `scrape:${scrape}`,
  /** a line over the layer that was poured last */
  mica: (line: StepId) => `mica:${line}`,
  /** what is held back, into a column's hole */
  pull: (step: StepId) => `pull:${step}`,
  top: 'top',
  /** batter of a pot heaped on top, or into the hollows of a mat */
  onTop: (step: StepId) => `on-top:${step}`,
  spare: 'spare',
} as const;

/** Batter that goes into one of these does not come back into a jug: what it is then it stays. */
const OUTSIDE: ReadonlySet<string> = new Set(['mould', 'layer', 'spare', 'spare-mould', 'cup']);

export const leavesInto = (vessel: string): boolean => OUTSIDE.has(vessel.split(':', 1)[0] ?? '');

/** The pot whose jug, plain batter or cup a vessel is. */
export function potOfVessel(vessel: string): PotId | undefined {
  const [kind, id] = vessel.split(':');
  return kind === 'pot' || kind === 'plain' || kind === 'cup' ? id : undefined;
}

/** The act that colours a pot: with its oils where it is a portion, once it is weighed out where it is of one batch. */
export const colouredAt = ({ divide }: Pick<Plan, 'divide'>, pot: PotId): string =>
  divide.kind === 'before-lye' ? ACT.pot(pot) : ACT.potColour(pot);
