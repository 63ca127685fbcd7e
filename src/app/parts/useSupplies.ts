import { useMemo } from 'react';
import type { Supply, SupplyKind, SupplyOf } from '../../core/supplies/schema.ts';
import { allOf, someOf, type Rows, type Seen } from '../../store/tables/kind.ts';
import { SUPPLY } from '../../store/tables/supplyKind.ts';
import { useThings, type Things } from './useThings.ts';

const all = allOf(SUPPLY);
const only = (kind: SupplyKind): Rows => someOf(SUPPLY, 'value.kind', kind);

/** A page that asks for jugs reads no beginnings, which are whole plans. */
const ROWS: Readonly<Record<SupplyKind, Rows>> = {
  fragrance: only('fragrance'),
  jar: only('jar'),
  jug: only('jug'),
  cutter: only('cutter'),
  beginning: only('beginning'),
};

/** All of one's own supplies, and the ids of what cannot be read. */
export const useAllSupplies = (): Things<Supply> => useThings(SUPPLY, all);

/** One kind of one's own supplies, by name. */
export function useSupplies<K extends SupplyKind>(kind: K): readonly Seen<SupplyOf<K>>[] {
  const { things } = useThings(SUPPLY, ROWS[kind]);
  return useMemo(
    () =>
      things
        .filter((t): t is Seen<SupplyOf<K>> => t.value.kind === kind)
        .toSorted((a, b) => a.value.name.localeCompare(b.value.name, 'en', { numeric: true })),
    [things, kind],
  );
}
