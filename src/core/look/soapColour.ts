import { usedOils } from '../batter/usedOils.ts';
import type { Batter } from '../batter/schema.ts';
import { bodyOfHex, stir, type Body } from '../colour/body.ts';
import { CREAM } from '../colorant/cream.ts';

/**
 * Colour of plain soap of one oil alone, cured and not gelled. Estimates from common practice, no source: a
 * maker's own plain bar replaces them (`batter.colour`). Oils not named make a pale cream.
 */
const SOAP_OF: Readonly<Record<string, string>> = {
  olive: '#e9dfb9',
  coconut: '#faf6ec',
  palm: '#f2e3bf',
  'palm-kernel': '#f8f3e6',
  babassu: '#faf6ec',
  'palm-stearin': '#f4ead0',
  soya: '#efe0b8',
  sunflower: '#f0e3bf',
  'sunflower-high-oleic': '#f1e6c8',
  rapeseed: '#eddcae',
  'rice-bran': '#ead9ae',
  avocado: '#d9d6a4',
  hemp: '#bcbd84',
  linseed: '#e2c887',
  lard: '#f8f2e4',
  tallow: '#f5eddb',
  'cocoa-butter': '#f2e2c0',
  shea: '#f1e6cd',
  castor: '#f3ead2',
};

/** Plain soap of this batter, cured and not gelled. Absorptions mix in proportion to the oils. */
export function plainSoap(batter: Batter): Body {
  if (batter.colour !== undefined) return bodyOfHex(batter.colour);
  const oils = usedOils(batter);
  if (oils.length === 0) return bodyOfHex(CREAM);
  return stir(oils.map((o) => ({ body: bodyOfHex(SOAP_OF[o.oil.id] ?? CREAM), part: o.share })));
}
