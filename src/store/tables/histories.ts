import type { Dexie, Table } from 'dexie';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { Revised, TableHistory } from './table.ts';

/**
 * The plans before and after the stored one: they go with that writing of it alone. One of an older version
 * is not used any more.
 */
export interface HistoryRecord extends Revised {
  readonly planId: string;
  readonly version: number;
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

export const HISTORIES: TableHistory = { name: 'histories', indexes: { 3: '&planId' } };

export const histories = (db: Dexie): Table<HistoryRecord, string> => db.table(HISTORIES.name);
