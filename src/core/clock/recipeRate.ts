import { usedOils } from '../batter/usedOils.ts';
import type { Batter } from '../batter/schema.ts';

/**
 * How fast a batter of one oil alone thickens, stages a minute at 38 C and 30 % lye: slow, usual and quick
 * recipes have 0.045, 0.08, 0.15. Common practice, no source.
 */
const SLOW = 0.045;
const MEDIUM = 0.08;
const FAST = 0.15;

const RATES: Readonly<Record<string, number>> = {
  olive: SLOW,
  lard: SLOW,
  'sunflower-high-oleic': SLOW,
  safflower: 0.05,
  almond: SLOW,
  'apricot-kernel': SLOW,
  hazelnut: SLOW,
  macadamia: SLOW,
  avocado: 0.06,
  'rice-bran': 0.075,
  tallow: 0.065,
  palm: MEDIUM,
  'palm-olein': 0.075,
  'palm-stearin': 0.12,
  coconut: 0.09,
  babassu: 0.09,
  'palm-kernel': 0.105,
  castor: 0.12,
  shea: 0.135,
  mango: FAST,
  kokum: FAST,
  'cocoa-butter': FAST,
};

/** An oil that is not among them. */
const OTHER = 0.06;

/**
 * How far a first guess is out, standard deviation of its logarithm: of oils that are known here, and of
 * others. Judgements.
 */
const GUESSED_SD = 0.5;
const UNKNOWN_SD = 0.7;

/** Where so much of the oils is not known, the whole is not. */
const UNKNOWN_SHARE = 0.15;

/**
 * How fast a batter thickens, stages a minute at 38 C with 30 % lye and nothing that quickens it: the
 * geometric mean of its oils by their shares. An estimate: readings of the recipe are far better. Undefined
 * where there is no oil.
 */
export function recipeRate(batter: Pick<Batter, 'oils'>): number | undefined {
  const oils = usedOils(batter);
  if (oils.length === 0) return undefined;
  return Math.exp(oils.reduce((s, o) => s + o.share * Math.log(RATES[o.oil.id] ?? OTHER), 0));
}

/** How far that is out. */
export function recipeRateSd(batter: Pick<Batter, 'oils'>): number {
  const unknown = usedOils(batter).reduce((s, o) => s + (RATES[o.oil.id] === undefined ? o.share : 0), 0);
  return unknown > UNKNOWN_SHARE ? UNKNOWN_SD : GUESSED_SD;
}
