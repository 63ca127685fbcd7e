import { manyColumns } from '../../core/exchange/migrate.ts';
import { FIRST, wrapped } from './firstShapes.ts';
import { reshaped, type TableHistory } from './table.ts';

/** Moulds of one's own, by name. Plans keep their own copies: changing one changes no plan. */
export const MOULDS: TableHistory = {
  name: 'moulds',
  indexes: { 1: '&name' },
  upgrades: {
    3: reshaped('moulds', (record) => ({ ...record, revision: FIRST })),
    5: reshaped('moulds', (record) => ({ ...record, mould: manyColumns(record['mould']) })),
    6: wrapped('moulds', 'name', 'mould', 2),
  },
};
