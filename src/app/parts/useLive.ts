import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { database } from '../../store/database.ts';
import { storageAnswered, storageFailed } from '../../store/keeping/keepingSlice.ts';
import { withStorage } from '../../store/keeping/storage.ts';
import { troubleOf } from '../../store/keeping/trouble.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';

/**
 * What a query of the database gives, kept up to date; undefined until it has answered. A query that fails is told to the page
 * and asked again once storage answers, or when the maker asks. The query must be the same function from drawing to drawing.
 */
export function useLive<T>(query: () => Promise<T>): T | undefined {
  const dispatch = useAppDispatch();
  const attempt = useAppSelector((s) => s.keeping.attempt);
  const [rows, setRows] = useState<T>();
  useEffect(() => {
    let stop: (() => void) | undefined;
    let gone = false;
    const failed = (error: unknown): void => {
      if (!gone) dispatch(storageFailed(troubleOf(error)));
    };
    withStorage(database, () => query())
      .then((first) => {
        if (gone) return;
        setRows(first);
        dispatch(storageAnswered());
        const subscription = liveQuery(query).subscribe({ next: setRows, error: failed });
        stop = () => {
          subscription.unsubscribe();
        };
      })
      .catch(failed);
    return () => {
      gone = true;
      stop?.();
    };
  }, [query, attempt, dispatch]);
  return rows;
}
