import { recorded, wrapped } from './firstShapes.ts';
import type { TableHistory } from './table.ts';

/** Colorants of one's own, and starters with their stock or a better description, by id. */
export const COLORANTS: TableHistory = {
  name: 'colorants',
  indexes: { 2: '&id, name', 3: '&id' },
  upgrades: { 3: recorded('colorants', 'id', 'colorant'), 6: wrapped('colorants', 'id', 'colorant', 1) },
};
