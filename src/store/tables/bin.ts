import type { Dexie, EntityTable } from 'dexie';
import { nanoid } from '@reduxjs/toolkit';
import type { TableHistory } from './table.ts';

/** What was deleted, for a month. */
export const BIN: TableHistory = { name: 'bin', indexes: { 7: '&id, at' } };

/** As long as anything stays in the bin, days. */
export const KEPT_DAYS = 31;

const DAY_MS = 24 * 60 * 60 * 1000;

/** A deleted record, as it was stored. */
export interface BinRecord {
  readonly id: string;
  /** where it stood, and under which key */
  readonly table: string;
  readonly key: string;
  /** what its maker calls it */
  readonly name: string;
  readonly at: string;
  readonly record: object;
  /** of a plan: the plans before and after it */
  readonly history?: object;
}

const rows = (db: Dexie): EntityTable<BinRecord, 'id'> => db.table(BIN.name);

/** Put a record that is taken out of its table into the bin; returns what it is known by there. */
export const intoBin = (db: Dexie, entry: Omit<BinRecord, 'id' | 'at'>): Promise<string> =>
  rows(db).add({ ...entry, id: nanoid(), at: new Date().toISOString() });

/** What lies in the bin, what was deleted last first. */
export const allBinned = (db: Dexie): Promise<readonly BinRecord[]> =>
  rows(db).orderBy('at').reverse().toArray();

export const countBinned = (db: Dexie): Promise<number> => rows(db).count();

export const outOfBin = (db: Dexie, id: string): Promise<void> => rows(db).delete(id);

export const emptyBin = (db: Dexie): Promise<void> => rows(db).clear();

/** What has lain there for a month goes for good. */
export const clearBinned = (db: Dexie, now: number): Promise<number> =>
  rows(db)
    .where('at')
    .below(new Date(now - KEPT_DAYS * DAY_MS).toISOString())
    .delete();

/** Days that something stays in the bin yet. */
export const daysLeft = ({ at }: Pick<BinRecord, 'at'>, now: number): number =>
  Math.max(0, Math.ceil(KEPT_DAYS - (now - Date.parse(at)) / DAY_MS));

/**
 * A thing of the library put back where it stood. False: one of that name is there again, and both stay as
 * they are.
 */
export const putBackThing = (db: Dexie, entry: BinRecord): Promise<boolean> => {
  const table = db.table<object, string>(entry.table);
  return db.transaction('rw', table, rows(db), async () => {
    if ((await table.get(entry.key)) !== undefined) return false;
    await table.put(entry.record);
    await outOfBin(db, entry.id);
    return true;
  });
};
