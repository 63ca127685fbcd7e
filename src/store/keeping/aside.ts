import { database } from '../database.ts';

/** Tables whose records a maker made. */
export type MadeTable = 'plans' | 'moulds' | 'colorants' | 'palettes' | 'stores' | 'drafts';

/** Keys of drafts have two parts. */
const keyText = (key: string | readonly string[]): string => (typeof key === 'string' ? key : key.join(' '));

/** A record as it is stored, whatever it is. */
export const rawRecord = (table: MadeTable, key: string | readonly string[]): Promise<unknown> =>
  database.table<unknown, string | readonly string[]>(table).get(key);

/** Take a damaged record out of the way of the others, as it is. */
export const setAside = (table: MadeTable, key: string | readonly string[]): Promise<void> =>
  database.transaction('rw', database.table(table), database.aside, async () => {
    const record = await rawRecord(table, key);
    if (record === undefined) return;
    await database.aside.add({ table, key: keyText(key), at: new Date().toISOString(), record });
    await database.table<unknown, string | readonly string[]>(table).delete(key);
  });
