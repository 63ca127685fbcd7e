import type { Oil } from './oil.ts';

const CXS_210 = 'Codex Alimentarius CXS 210, named vegetable oils';
const CXS_33 = 'Codex Alimentarius CXS 33, olive oils';
const CXS_211 = 'Codex Alimentarius CXS 211, named animal fats';
const PHARMACOPOEIA = 'pharmacopoeia range';
const TRADE = 'range common in the trade, no single source';

/** Set or soft in a cool kitchen. Common knowledge, no source. */
const SOLID = new Set([
  'coconut',
  'palm',
  'palm-kernel',
  'babassu',
  'palm-stearin',
  'lard',
  'tallow',
  'cocoa-butter',
  'shea',
  'mango',
  'kokum',
]);

const oil = (
  id: string,
  name: string,
  svLow: number,
  svHigh: number,
  origin: string,
  densityGMl: number,
): Oil => ({
  id,
  name,
  svLow,
  svHigh,
  origin,
  densityGMl,
  liquid: !SOLID.has(id),
});

/** Said once beside the library, not at every oil. */
export const RANGES_NOTE =
  'Ranges are the published ones, written down from memory: the supplier’s sheet comes first.';

/**
 * The oil library: saponification ranges with their origin, all recalled. Densities recalled, good to about 1
 * %.
 */
export const OIL_LIBRARY: readonly Oil[] = [
  oil('olive', 'Olive oil', 184, 196, CXS_33, 0.914),
  oil('coconut', 'Coconut oil', 248, 265, CXS_210, 0.921),
  oil('palm', 'Palm oil', 190, 209, CXS_210, 0.911),
  oil('palm-kernel', 'Palm kernel oil', 230, 254, CXS_210, 0.917),
  oil('babassu', 'Babassu oil', 245, 256, CXS_210, 0.917),
  oil('palm-olein', 'Palm olein', 194, 202, CXS_210, 0.911),
  oil('palm-stearin', 'Palm stearin', 193, 205, CXS_210, 0.905),
  oil('soya', 'Soya bean oil', 189, 195, CXS_210, 0.92),
  oil('sunflower', 'Sunflower oil', 188, 194, CXS_210, 0.92),
  oil('sunflower-high-oleic', 'Sunflower oil, high oleic', 182, 194, CXS_210, 0.912),
  oil('rapeseed', 'Rapeseed oil, low erucic', 182, 193, CXS_210, 0.917),
  oil('rice-bran', 'Rice bran oil', 180, 199, CXS_210, 0.918),
  oil('safflower', 'Safflower oil', 186, 198, CXS_210, 0.924),
  oil('sesame', 'Sesame oil', 186, 195, CXS_210, 0.919),
  oil('grapeseed', 'Grapeseed oil', 188, 194, CXS_210, 0.922),
  oil('cottonseed', 'Cottonseed oil', 189, 198, CXS_210, 0.919),
  oil('maize', 'Maize oil', 187, 195, CXS_210, 0.92),
  oil('groundnut', 'Groundnut oil', 187, 196, CXS_210, 0.915),
  oil('almond', 'Almond oil, sweet', 183, 207, CXS_210, 0.915),
  oil('hazelnut', 'Hazelnut oil', 188, 198, CXS_210, 0.914),
  oil('walnut', 'Walnut oil', 188, 197, CXS_210, 0.924),
  oil('linseed', 'Linseed oil', 185, 197, CXS_210, 0.929),
  oil('avocado', 'Avocado oil', 170, 202, CXS_210, 0.913),
  oil('lard', 'Lard', 192, 203, CXS_211, 0.909),
  oil('tallow', 'Tallow, beef', 190, 202, CXS_211, 0.907),
  oil('castor', 'Castor oil', 176, 187, PHARMACOPOEIA, 0.958),
  oil('cocoa-butter', 'Cocoa butter', 188, 200, PHARMACOPOEIA, 0.905),
  oil('shea', 'Shea butter', 170, 190, TRADE, 0.91),
  oil('mango', 'Mango butter', 183, 198, TRADE, 0.91),
  oil('kokum', 'Kokum butter', 185, 195, TRADE, 0.91),
  oil('apricot-kernel', 'Apricot kernel oil', 185, 199, TRADE, 0.915),
  oil('macadamia', 'Macadamia oil', 190, 200, TRADE, 0.912),
  oil('hemp', 'Hemp seed oil', 188, 195, TRADE, 0.925),
];

const BY_ID = new Map(OIL_LIBRARY.map((o) => [o.id, o]));

export const libraryOil = (id: string): Oil | undefined => BY_ID.get(id);
