import { usedOils } from '../batter/usedOils.ts';
import type { Batter } from '../batter/schema.ts';

/** How fast a batter of one oil alone thickens, stages a minute at 38 C and 30 % lye: slow, medium or fast recipes have 0.03, 0.05, 0.10. Common practice, no source. */
const SLOW = 0.03;
const MEDIUM = 0.055;
const FAST = 0.1;

const RATES: Readonly<Record<string, number>> = {
  olive: SLOW,
  lard: SLOW,
  'sunflower-high-oleic': SLOW,
  safflower: 0.035,
  almond: SLOW,
  'apricot-kernel': SLOW,
  hazelnut: SLOW,
  macadamia: SLOW,
  avocado: 0.04,
  'rice-bran': 0.05,
  tallow: 0.045,
  palm: MEDIUM,
  'palm-olein': 0.05,
  'palm-stearin': 0.08,
  coconut: 0.06,
  babassu: 0.06,
  'palm-kernel': 0.07,
  castor: 0.08,
  shea: 0.09,
  mango: FAST,
  kokum: FAST,
  'cocoa-butter': FAST,
};

/** An oil that is not among them. */
const OTHER = 0.04;

/**
 * How fast a batter thickens, stages a minute at 38 C with 30 % lye and nothing that quickens it: the geometric mean of its oils by their shares. An
 * estimate, good to about a half: readings of the recipe are better. Undefined where there is no oil.
 */
export function recipeRate(batter: Pick<Batter, 'oils'>): number | undefined {
  const oils = usedOils(batter);
  if (oils.length === 0) return undefined;
  return Math.exp(oils.reduce((s, o) => s + o.share * Math.log(RATES[o.oil.id] ?? OTHER), 0));
}
