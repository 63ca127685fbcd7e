import { database } from '../database.ts';
import { store } from '../store.ts';
import { BATCHES } from '../tables/batches.ts';
import { BookKeeper } from './bookKeeper.ts';
import { storageAnswered, storageFailed } from './keepingSlice.ts';
import { pendingGone, pendingShown } from './librarySlice.ts';

/** Keeps what is written down of batches in this page. */
export const bookKeeper = new BookKeeper(database, (batch, trouble) => {
  const at = { table: BATCHES.name, key: batch.name };
  if (trouble === null) {
    store.dispatch(pendingGone(at));
    store.dispatch(storageAnswered());
    return;
  }
  store.dispatch(pendingShown({ ...at, value: batch, trouble }));
  store.dispatch(storageFailed(trouble));
});
