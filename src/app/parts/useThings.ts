import { useMemo } from 'react';
import type { Revised } from '../../store/database.ts';
import type { Seen } from '../../store/keeping/libraryKeeper.ts';
import type { LibraryTable } from '../../store/keeping/librarySlice.ts';
import { useAppSelector } from '../../store/store.ts';
import { useLive } from './useLive.ts';

export interface Things<T> {
  readonly things: readonly Seen<T>[];
  /** keys of records that cannot be read */
  readonly damaged: readonly string[];
}

/**
 * The things of one table of the library, as they are stored and with what this page is about to store of them in its place.
 * Whatever is stored is checked: what is damaged is named, and does not hide the rest. All functions must stay the same.
 */
export function useThings<T, R extends Revised>(
  table: LibraryTable,
  query: () => Promise<readonly R[]>,
  keyOf: (row: R) => string,
  read: (row: R) => T | undefined,
): Things<T> {
  const rows = useLive(query);
  const pending = useAppSelector((s) => s.library);
  return useMemo(() => {
    const damaged: string[] = [];
    const things = new Map<string, Seen<T>>();
    for (const row of rows ?? []) {
      const value = read(row);
      if (value === undefined) damaged.push(keyOf(row));
      else things.set(keyOf(row), { value, revision: row.revision });
    }
    for (const p of Object.values(pending).filter((p) => p.table === table)) {
      if (p.value === null) things.delete(p.key);
      else things.set(p.key, { value: p.value as T, revision: things.get(p.key)?.revision ?? null });
    }
    return { things: [...things.values()], damaged };
  }, [rows, pending, table, keyOf, read]);
}
