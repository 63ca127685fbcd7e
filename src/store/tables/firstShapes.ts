import { reshaped, type Old } from './table.ts';

/** The writing of records that were stored before writings were named. */
export const FIRST = 'first';

/** Up to version 2 of the database a thing was its own record. */
export const recorded = (table: string, key: string, inside: string) =>
  reshaped(table, (record) => ({ [key]: record[key], revision: FIRST, [inside]: record }));

/**
 * Up to version 5 each table of the library called what is in its records otherwise, and gave it no version.
 */
export const asThing = (record: Old, key: string, inside: string, version: number): Old => ({
  [key]: record[key],
  revision: record['revision'],
  version,
  // a damaged record stays whole
  value: inside in record ? record[inside] : record,
});

export const wrapped = (table: string, key: string, inside: string, version: number) =>
  reshaped(table, (record) => asThing(record, key, inside, version));
