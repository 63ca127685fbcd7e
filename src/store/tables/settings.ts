import { wrapped } from './firstShapes.ts';
import type { TableHistory } from './table.ts';

/** What was chosen last, by what it is. */
export const SETTINGS: TableHistory = {
  name: 'settings',
  indexes: { 3: '&key' },
  upgrades: { 6: wrapped('settings', 'key', 'value', 1) },
};
