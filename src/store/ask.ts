import { liveQuery, type Dexie } from 'dexie';
import { database } from './database.ts';
import { storageAnswered, storageFailed } from './keeping/keepingSlice.ts';
import { withStorage } from './keeping/storage.ts';
import { troubleOf } from './keeping/trouble.ts';
import { store } from './store.ts';

/** Something asked of the database. */
export type Query<T> = (db: Dexie) => Promise<T>;

/** Ask once. Throws what storage throws. */
export const ask = <T>(query: Query<T>): Promise<T> => withStorage(database, () => query(database));

/**
 * What a query gives, now and whenever what it reads changes. A query that fails is told to the page, and is
 * not asked again. Returns the function that stops following.
 */
export function follow<T>(query: Query<T>, seen: (answer: T) => void): () => void {
  let gone = false;
  let stop: (() => void) | undefined;
  const failed = (error: unknown): void => {
    if (!gone) store.dispatch(storageFailed(troubleOf(error)));
  };
  ask(query)
    .then((first) => {
      if (gone) return;
      seen(first);
      store.dispatch(storageAnswered());
      const subscription = liveQuery(() => query(database)).subscribe({ next: seen, error: failed });
      stop = () => {
        subscription.unsubscribe();
      };
    })
    .catch(failed);
  return () => {
    gone = true;
    stop?.();
  };
}
