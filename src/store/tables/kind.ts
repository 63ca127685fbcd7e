import type { Dexie, Table } from 'dexie';
import { dequal } from 'dequal/lite';
import * as v from 'valibot';
import { mergeFields } from '../../core/edit/mergeFields.ts';
import type { Revised } from './table.ts';

/** A stored thing of the library, under its key. */
export interface ThingRecord extends Revised {
  /** of the thing's shape */
  readonly version: number;
  /** not checked before it is read */
  readonly value: unknown;
}

/**
 * A kind of thing in the library: where it stands, how it is checked, and what becomes of two changes of one.
 */
export interface Kind<T> {
  readonly table: string;
  /** the record's field that is its key */
  readonly key: 'id' | 'name' | 'key';
  /** the one record of its table that is of this kind; absent: they all are */
  readonly only?: string;
  /** the newest version of its shape */
  readonly version: number;
  readonly keyOf: (value: T) => string;
  /** what a maker calls it */
  readonly nameOf: (value: T) => string;
  /** brought up to date and checked; undefined: it cannot be read */
  readonly read: (value: unknown, version: number) => T | undefined;
  /**
   * both changed one thing, or both made one (base null): what becomes of it; undefined where mine must give
   * way
   */
  readonly merge: (base: T | null, mine: T, theirs: T) => T | undefined;
  /** what another has made of `mine`, as if it had been made of `start` */
  readonly apart: (start: T, mine: T, theirs: T) => T;
  /**
   * what stands there while nothing is stored: stored, it would only hide a better one that comes with a
   * newer version
   */
  readonly usual?: (key: string) => T | undefined;
}

/**
 * A thing as it is seen, with the writing it is; null revision: it is not stored, or stands in for what is
 * not.
 */
export interface Seen<T> {
  readonly value: T;
  readonly revision: string | null;
}

export const rowsOf = <T>(db: Dexie, { table }: Kind<T>): Table<ThingRecord, string> => db.table(table);

/** The records of a kind, all or some of them. */
export type Rows = (db: Dexie) => Promise<readonly ThingRecord[]>;

export const allOf =
  <T>(kind: Kind<T>): Rows =>
  (db) =>
    kind.only === undefined
      ? rowsOf(db, kind).toArray()
      : rowsOf(db, kind).where(kind.key).equals(kind.only).toArray();

/** Those of a kind whose index says this. */
export const someOf =
  <T>(kind: Kind<T>, index: string, says: string): Rows =>
  (db) =>
    rowsOf(db, kind).where(index).equals(says).toArray();

export const thingRecord = <T>(
  { key, keyOf, version }: Kind<T>,
  value: T,
  revision: string,
): ThingRecord => ({
  [key]: keyOf(value),
  revision,
  version,
  value,
});

export const keyOfRow = <T>({ key }: Kind<T>, row: ThingRecord): string =>
  String((row as unknown as Readonly<Record<string, unknown>>)[key]);

/** A stored thing, checked. Undefined: it is damaged, or was written by a newer version. */
export const readRow = <T>(kind: Kind<T>, row: ThingRecord): T | undefined =>
  typeof row.version === 'number' && row.version <= kind.version
    ? kind.read(row.value, row.version)
    : undefined;

/** Read by a schema that all versions have in common. */
export const readAs =
  <T>(schema: v.GenericSchema<unknown, T>): Kind<T>['read'] =>
  (value) => {
    const read = v.safeParse(schema, value);
    return read.success ? read.output : undefined;
  };

/** Two changes of one whole thing: only the same again can stand beside another. */
const whole = <T>(base: T | null, mine: T, theirs: T): T | undefined =>
  dequal(theirs, base) || dequal(theirs, mine) ? mine : undefined;

/** Things that are changed as a whole. */
export const WHOLE = { merge: whole, apart: <T>(_start: T, _mine: T, theirs: T): T => theirs };

/**
 * Things whose fields are changed one by one: what only one has changed stays. Where they changed what I had
 * made of it, theirs.
 */
export const BY_FIELD = {
  merge: <T extends object>(base: T | null, mine: T, theirs: T): T | undefined => {
    if (base === null) return whole(base, mine, theirs);
    const merged = mergeFields(base, mine, theirs);
    return merged.clashes.length > 0 ? undefined : merged.value;
  },
  apart: <T extends object>(start: T, mine: T, theirs: T): T => mergeFields(mine, theirs, start).value,
};
