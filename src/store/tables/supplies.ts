import { asThing } from './firstShapes.ts';
import type { Old, TableHistory } from './table.ts';

/** What a maker has: fragrances, jars, jugs, cutters, and beginnings of one's own. */
export const SUPPLIES: TableHistory = {
  name: 'supplies',
  indexes: { 6: '&id, value.kind' },
  upgrades: {
    6: async (transaction) => {
      const before = await transaction.table<Old>(STORES.name).toArray();
      await transaction.table('supplies').bulkPut(before.map((r) => asThing(r, 'id', 'thing', 1)));
    },
  },
};

/** What they were called before. */
export const STORES: TableHistory = { name: 'stores', indexes: { 4: '&id, kind', 6: null } };
