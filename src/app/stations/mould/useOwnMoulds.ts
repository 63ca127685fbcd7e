import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import type { Mould } from '../../../core/mould/schema.ts';
import { database } from '../../../store/database.ts';

/** The moulds kept in this browser, by name. */
export function useOwnMoulds(): readonly Mould[] {
  const [moulds, setMoulds] = useState<readonly Mould[]>([]);
  useEffect(() => {
    const subscription = liveQuery(() => database.moulds.orderBy('name').toArray()).subscribe((records) => {
      setMoulds(records.map((r) => r.mould));
    });
    return () => {
      subscription.unsubscribe();
    };
  }, []);
  return moulds;
}
