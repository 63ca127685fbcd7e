import { useMemo } from 'react';
import type { Colorant } from '../../../core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../../core/colorant/starters.ts';
import { POT_COLOURS } from '../../../core/edit/pots.ts';
import type { Palette } from '../../../core/exchange/palette.ts';
import { COLORANT } from '../../../store/tables/colorantKind.ts';
import { allOf, type Seen } from '../../../store/tables/kind.ts';
import { PALETTE } from '../../../store/tables/paletteKind.ts';
import { useThings } from '../useThings.ts';

const colorantRows = allOf(COLORANT);
const paletteRows = allOf(PALETTE);

const STARTERS: readonly Seen<Colorant>[] = STARTER_COLORANTS.map((value) => ({ value, revision: null }));

interface Colorants {
  /** by name: one's own, and the starters that have none of one's own in their place */
  readonly all: readonly Seen<Colorant>[];
  /** ids of stored ones that cannot be read */
  readonly damaged: readonly string[];
}

export function useColorantShelf(): Colorants {
  const { things: own, damaged } = useThings(COLORANT, colorantRows);
  return useMemo(() => {
    const ids = new Set(own.map((c) => c.value.id));
    const all = [...own, ...STARTERS.filter((c) => !ids.has(c.value.id))].toSorted((a, b) =>
      a.value.name.localeCompare(b.value.name, 'en'),
    );
    return { all, damaged };
  }, [own, damaged]);
}

export function useColorants(): readonly Colorant[] {
  const { all } = useColorantShelf();
  return useMemo(() => all.map((c) => c.value), [all]);
}

const BUILT_IN: Palette = { name: 'Upland stone', colours: [...POT_COLOURS] };

interface Palettes {
  /** one's own palettes by name, after the one that comes with the product */
  readonly all: readonly Palette[];
  readonly own: readonly Seen<Palette>[];
  readonly damaged: readonly string[];
}

export function usePalettes(): Palettes {
  const { things: own, damaged } = useThings(PALETTE, paletteRows);
  return useMemo(() => ({ all: [BUILT_IN, ...own.map((p) => p.value)], own, damaged }), [own, damaged]);
}
