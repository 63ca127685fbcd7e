import { useMemo } from 'react';
import { keyOfRow, readRow, type Kind, type Rows, type Seen } from '../../store/tables/kind.ts';
import { useAppSelector } from '../../store/store.ts';
import { useLive } from './useLive.ts';

export interface Things<T> {
  readonly things: readonly Seen<T>[];
  /** keys of records that cannot be read */
  readonly damaged: readonly string[];
}

/**
 * The things of one kind in the library, as they are stored and with what this page is about to store of them
 * in its place. Whatever is stored is checked: what is damaged is named, and does not hide the rest. `rows`
 * must stay the same.
 */
export function useThings<T>(kind: Kind<T>, rows: Rows): Things<T> {
  const stored = useLive(rows);
  const pending = useAppSelector((s) => s.library);
  return useMemo(() => {
    const damaged: string[] = [];
    const things = new Map<string, Seen<T>>();
    for (const row of stored ?? []) {
      const key = keyOfRow(kind, row);
      const value = readRow(kind, row);
      if (value === undefined) damaged.push(key);
      else things.set(key, { value, revision: row.revision });
    }
    for (const p of Object.values(pending).filter(
      (p) => p.table === kind.table && p.key === (kind.only ?? p.key),
    )) {
      if (p.value === null) things.delete(p.key);
      else things.set(p.key, { value: p.value as T, revision: things.get(p.key)?.revision ?? null });
    }
    return { things: [...things.values()], damaged };
  }, [stored, pending, kind]);
}
