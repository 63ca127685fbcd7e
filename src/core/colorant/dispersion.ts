import type { Grams, Millilitres } from '../units/quantity.ts';
import type { Nature } from './schema.ts';

/** g/ml near 20 °C (from memory). */
const CARRIER_DENSITY: Readonly<Record<Nature['carrier'], number>> = {
  oil: 0.92,
  water: 1,
  glycerine: 1.26,
  alcohol: 0.79,
};

export const CARRIER_NAMES: Readonly<Record<Nature['carrier'], string>> = {
  oil: 'light oil',
  water: 'water',
  glycerine: 'glycerine',
  alcohol: 'alcohol',
};

/** Carrier that a mass of powder is dispersed in. */
export const carrierMl = (nature: Nature, powderG: Grams): Millilitres => powderG * nature.carrierMlPerG;

/** Mass of powder and carrier together: what is weighed into a pot. */
export const dispersionG = (nature: Nature, powderG: Grams): Grams =>
  powderG * (1 + nature.carrierMlPerG * CARRIER_DENSITY[nature.carrier]);
