import type { Table } from 'dexie';
import type { Revised } from './table.ts';

/** A name for one writing of a record: never used again, so no two writings can be taken for one another. */
export const newRevision = (): string => crypto.randomUUID();

export type Written<T> =
  | { readonly kind: 'written'; readonly revision: string }
  /** it was written since, or taken away (`theirs` undefined); nothing was changed */
  | { readonly kind: 'conflict'; readonly theirs: T | undefined };

/**
 * Write a record that builds on the writing `base` (null: there was none). Must run in a transaction that
 * covers the table. It is the one way in which a record that is already there is changed: what another page
 * wrote meanwhile is never written over.
 */
export async function writeOn<T extends Revised, K>(
  table: Table<T, K>,
  key: K,
  base: string | null,
  record: T,
): Promise<Written<T>> {
  const theirs = await table.get(key);
  if ((theirs?.revision ?? null) !== base) return { kind: 'conflict', theirs };
  await table.put(record);
  return { kind: 'written', revision: record.revision };
}
