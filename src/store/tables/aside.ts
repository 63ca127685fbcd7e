import type { Dexie, EntityTable } from 'dexie';
import type { TableHistory } from './table.ts';

/** Damaged records that were taken out of the way. */
export const ASIDE: TableHistory = { name: 'aside', indexes: { 3: '++id' } };

/** A damaged record, as it was. */
export interface AsideRecord {
  readonly id: number;
  readonly table: string;
  readonly key: string;
  readonly at: string;
  readonly record: unknown;
}

const rows = (db: Dexie): EntityTable<AsideRecord, 'id'> => db.table(ASIDE.name);

export const allAside = (db: Dexie): Promise<readonly AsideRecord[]> => rows(db).toArray();

export const dropAside = (db: Dexie, id: number): Promise<void> => rows(db).delete(id);

/** Keys of drafts have two parts. */
type Key = string | readonly string[];
const keyText = (key: Key): string => (typeof key === 'string' ? key : key.join(' '));

/** A record as it is stored, whatever it is. */
export const rawRecord = (db: Dexie, table: string, key: Key): Promise<unknown> =>
  db.table<unknown, Key>(table).get(key);

/** Put what was damaged with the others that were. */
export const addAside = (db: Dexie, table: string, key: Key, record: unknown): Promise<number> =>
  rows(db).add({ table, key: keyText(key), at: new Date().toISOString(), record });

/** Take a damaged record out of the way of the others, as it is. */
export const setAside = (db: Dexie, table: string, key: Key): Promise<void> =>
  db.transaction('rw', db.table(table), rows(db), async () => {
    const record = await rawRecord(db, table, key);
    if (record === undefined) return;
    await addAside(db, table, key, record);
    await db.table<unknown, Key>(table).delete(key);
  });
