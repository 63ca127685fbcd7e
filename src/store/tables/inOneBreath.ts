import type { Dexie } from 'dexie';

/**
 * Hand records to the browser while the page is going away: asked for and committed in one breath, as nothing
 * can be waited for any more. No promise and no error: where it cannot be done, nothing else could be either.
 */
export function putInOneBreath(db: Dexie, rows: Readonly<Record<string, readonly unknown[]>>): void {
  try {
    const transaction = db.backendDB().transaction(Object.keys(rows), 'readwrite', { durability: 'strict' });
    for (const [table, list] of Object.entries(rows))
      for (const row of list) transaction.objectStore(table).put(row);
    transaction.commit();
  } catch {
    // the database is not open: it has failed before, and the maker was told
  }
}
