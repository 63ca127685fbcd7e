/** Names of the vessels of a batch, as the ledger has them. */
export const VESSEL = {
  /** the pot that the oils are weighed into; the batch where lye goes into all of them at once */
  oils: 'oils',
  lye: 'lye',
  carrierOil: 'carrier-oil',
  mould: 'mould',
  spare: 'spare',
  jar: (colorant: string) => `jar:${colorant}`,
  stock: (ombre: string, which: 'first' | 'last') => `stock:${ombre}:${which}`,
  pot: (pot: string) => `pot:${pot}`,
  /** plain batter kept aside for a pot that goes paler */
  plain: (pot: string) => `plain:${pot}`,
} as const;

/** Names of the acts of a batch: what one instruction of the sheet does. */
export const ACT = {
  oils: 'oils',
  carrierOil: 'carrier-oil',
  inOils: 'in-oils',
  water: 'water',
  lye: 'lye',
  dissolve: 'dissolve',
  emulsify: 'emulsify',
  trace: 'trace',
  scent: 'scent',
  disperse: (colorant: string) => `disperse:${colorant}`,
  stock: (ombre: string, which: 'first' | 'last') => `stock:${ombre}:${which}`,
  pot: (pot: string) => `pot:${pot}`,
  combine: (pot: string) => `combine:${pot}`,
  pass: (pour: string) => `pass:${pour}`,
  pour: (pour: string) => `pour:${pour}`,
  top: 'top',
  spare: 'spare',
} as const;
