import type { Dexie, EntityTable } from 'dexie';
import type { TableHistory } from './table.ts';

/** What was done once in this browser. */
export const MARKS: TableHistory = { name: 'marks', indexes: { 1: '&key' } };

interface Mark {
  readonly key: 'first-start';
  readonly at: string;
}

export const marks = (db: Dexie): EntityTable<Mark, 'key'> => db.table(MARKS.name);
