import {
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  modeRgb,
  useMode,
} from 'culori/fn';

useMode(modeRgb);

/**
 * The common colour-vision deficiencies, with how many have them (about, in people of European descent; from
 * memory).
 */
export const DEFICIENCIES = [
  { id: 'deuteranopia', name: 'Green-blind', plain: 'deuteranopia; with weaker forms about 1 man in 16' },
  { id: 'protanopia', name: 'Red-blind', plain: 'protanopia; with weaker forms about 1 man in 50' },
  { id: 'tritanopia', name: 'Blue-blind', plain: 'tritanopia; about 1 in 10 000' },
] as const;

export type Deficiency = (typeof DEFICIENCIES)[number]['id'];

const FILTERS = {
  deuteranopia: filterDeficiencyDeuter(1),
  protanopia: filterDeficiencyProt(1),
  tritanopia: filterDeficiencyTrit(1),
} as const;

const part = (hex: string, at: number): number => parseInt(hex.slice(at, at + 2), 16) / 255;

/**
 * How "#rrggbb" looks with a deficiency at full strength (Machado, Oliveira & Fernandes, "A
 * physiologically-based model for simulation of color vision deficiency", IEEE TVCG 2009), by culori.
 */
export const seenWith = (deficiency: Deficiency, hex: string): string =>
  formatHex(FILTERS[deficiency]({ mode: 'rgb', r: part(hex, 1), g: part(hex, 3), b: part(hex, 5) }));
