import * as v from 'valibot';
import { useMemo } from 'react';
import { storedSchema, type Stored, type StoredOf, type StoreKind } from '../../core/stores/schema.ts';
import { database, type StoreRecord } from '../../store/database.ts';
import type { Seen } from '../../store/keeping/libraryKeeper.ts';
import { useThings, type Things } from './useThings.ts';

type Rows = () => Promise<readonly StoreRecord[]>;

const rows: Rows = () => database.stores.toArray();
const only =
  (kind: StoreKind): Rows =>
  () =>
    database.stores.where({ kind }).toArray();

/** A page that asks for jugs reads no beginnings, which are whole plans. */
const ROWS: Readonly<Record<StoreKind, Rows>> = {
  fragrance: only('fragrance'),
  jar: only('jar'),
  jug: only('jug'),
  cutter: only('cutter'),
  beginning: only('beginning'),
};
const idOf = (row: StoreRecord): string => row.id;
const read = (row: StoreRecord): Stored | undefined => {
  const parsed = v.safeParse(storedSchema, row.thing);
  return parsed.success ? parsed.output : undefined;
};

/** Everything in one's own stores, and the ids of what cannot be read. */
export const useAllStores = (): Things<Stored> => useThings('stores', rows, idOf, read);

/** One kind of thing in one's own stores, by name. */
export function useStores<K extends StoreKind>(kind: K): readonly Seen<StoredOf<K>>[] {
  const { things } = useThings('stores', ROWS[kind], idOf, read);
  return useMemo(
    () =>
      things
        .filter((t): t is Seen<StoredOf<K>> => t.value.kind === kind)
        .toSorted((a, b) => a.value.name.localeCompare(b.value.name, 'en', { numeric: true })),
    [things, kind],
  );
}
