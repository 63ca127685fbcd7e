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
  /** the oil in jars of colour that are shaken up ready: never weighed by itself */
  readyJars: 'ready-jars',
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
  /** just before a pour */
  stir: (pour: StepId) => `stir:${pour}`,
  pour: (pour: StepId) => `pour:${pour}`,
  /** off the layer that was poured last */
  scrape: (scrape: StepId) => `scrape:${scrape}`,
  /** a line over the layer that was poured last */
  mica: (line: StepId) => `mica:${line}`,
  /** what is held back, into a column's hole */
  pull: 'pull',
  top: 'top',
  /** batter of a pot heaped on top, or into the hollows of a mat */
  onTop: (step: StepId) => `on-top:${step}`,
  spare: 'spare',
} as const;

/** The act that colours a pot: with its oils where it is a portion, once it is weighed out where it is of one batch. */
export const colouredAt = ({ divide }: Pick<Plan, 'divide'>, pot: PotId): string =>
  divide.kind === 'before-lye' ? ACT.pot(pot) : ACT.potColour(pot);
