import type { ColorantKind, Nature } from './schema.ts';

/** g/ml near 20 °C (from memory). */
export const CARRIER_DENSITY: Readonly<Record<Nature['carrier'], number>> = {
  oil: 0.92,
  water: 1,
  glycerine: 1.26,
  alcohol: 0.79,
  none: 1,
};

export const CARRIER_NAMES: Readonly<Record<Nature['carrier'], string>> = {
  oil: 'light oil',
  water: 'water',
  glycerine: 'glycerine',
  alcohol: 'alcohol',
  none: 'nothing, dry',
};

/** True densities of the powders, g/ml: handbook minerals (from memory); plants and dyes a guess. */
export const POWDER_DENSITY: Readonly<Record<ColorantKind, number>> = {
  mica: 2.8,
  oxide: 5,
  ultramarine: 2.4,
  'titanium-oil': 4.2,
  'titanium-water': 4.2,
  clay: 2.6,
  plant: 1.4,
  dye: 1.5,
  charcoal: 2,
};

/** Powder of a colorant that nobody described: as a mica. */
export const UNDESCRIBED_DENSITY = POWDER_DENSITY.mica;

/** g of carrier that one gram of powder brings; nothing is known of a colorant that is not described. */
export const carrierPerG = (nature: Nature | undefined): number =>
  nature && nature.carrier !== 'none' ? nature.carrierMlPerG * CARRIER_DENSITY[nature.carrier] : 0;

/** Mass of powder and carrier together, for each gram of powder: what is weighed into a pot. */
export const dispersionPerG = (nature: Nature | undefined): number => 1 + carrierPerG(nature);
