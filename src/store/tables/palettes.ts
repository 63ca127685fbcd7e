import { recorded, wrapped } from './firstShapes.ts';
import type { TableHistory } from './table.ts';

/** Palettes of one's own, by name. */
export const PALETTES: TableHistory = {
  name: 'palettes',
  indexes: { 2: '&name' },
  upgrades: { 3: recorded('palettes', 'name', 'palette'), 6: wrapped('palettes', 'name', 'palette', 1) },
};
