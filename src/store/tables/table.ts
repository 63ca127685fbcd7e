import type { Dexie, Transaction } from 'dexie';

/**
 * Every record that a maker's work is in says which writing of it this is: a write that does not build on it
 * is refused.
 */
export interface Revised {
  readonly revision: string;
}

/** A record as some version wrote it, not checked. */
export type Old = Record<string, unknown>;

/**
 * How a table came to be as it is. Nothing of it is changed once it was released: what is new is another
 * version.
 */
export interface TableHistory {
  readonly name: string;
  /** its indexes, from that version of the database on; null: the table is no more */
  readonly indexes: Readonly<Record<number, string | null>>;
  /** what is done to its records as that version comes */
  readonly upgrades?: Readonly<Record<number, (transaction: Transaction) => PromiseLike<unknown>>>;
}

/** How many records a table has. */
export const countOf = (db: Dexie, table: string): Promise<number> => db.table(table).count();

/** Every record of a table put in another shape; null: it stays as it is. */
export const reshaped =
  (name: string, shape: (record: Old) => Old | null) =>
  (transaction: Transaction): PromiseLike<unknown> =>
    transaction
      .table<Old>(name)
      .toCollection()
      .modify((record, ref) => {
        const next = shape(record);
        if (next) ref.value = next;
      });
