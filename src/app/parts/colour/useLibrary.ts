import { liveQuery } from 'dexie';
import { useEffect, useMemo, useState } from 'react';
import type { Colorant } from '../../../core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../../core/colorant/starters.ts';
import { POT_COLOURS } from '../../../core/edit/pots.ts';
import type { Palette } from '../../../core/exchange/palette.ts';
import { database } from '../../../store/database.ts';

function useLive<T>(query: () => Promise<readonly T[]>): readonly T[] {
  const [rows, setRows] = useState<readonly T[]>([]);
  useEffect(() => {
    const subscription = liveQuery(query).subscribe((found) => {
      setRows(found);
    });
    return () => {
      subscription.unsubscribe();
    };
  }, [query]);
  return rows;
}

const ownColorants = (): Promise<readonly Colorant[]> => database.colorants.toArray();
const ownPalettes = (): Promise<readonly Palette[]> => database.palettes.orderBy('name').toArray();

/** All colorants by name: one's own, and the starters that have none of one's own in their place. */
export function useColorants(): readonly Colorant[] {
  const own = useLive(ownColorants);
  return useMemo(() => {
    const ids = new Set(own.map((c) => c.id));
    return [...own, ...STARTER_COLORANTS.filter((c) => !ids.has(c.id))].toSorted((a, b) =>
      a.name.localeCompare(b.name, 'en'),
    );
  }, [own]);
}

const BUILT_IN: Palette = { name: 'Upland stone', colours: [...POT_COLOURS] };

/** One's own palettes by name, and the one that comes with the product. */
export function usePalettes(): readonly Palette[] {
  const own = useLive(ownPalettes);
  return useMemo(() => [BUILT_IN, ...own], [own]);
}
