import { useMemo } from 'react';
import * as v from 'valibot';
import { colorantSchema, type Colorant } from '../../../core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../../core/colorant/starters.ts';
import { POT_COLOURS } from '../../../core/edit/pots.ts';
import { paletteSchema, type Palette } from '../../../core/exchange/palette.ts';
import { database, type ColorantRecord, type PaletteRecord } from '../../../store/database.ts';
import type { Seen } from '../../../store/keeping/libraryKeeper.ts';
import { useThings } from '../useThings.ts';

const colorantRows = (): Promise<readonly ColorantRecord[]> => database.colorants.toArray();
const paletteRows = (): Promise<readonly PaletteRecord[]> => database.palettes.orderBy('name').toArray();

const readColorant = (row: ColorantRecord): Colorant | undefined => {
  const read = v.safeParse(colorantSchema, row.colorant);
  return read.success ? read.output : undefined;
};
const readPalette = (row: PaletteRecord): Palette | undefined => {
  const read = v.safeParse(paletteSchema, row.palette);
  return read.success ? read.output : undefined;
};
const idOf = (row: ColorantRecord): string => row.id;
const nameOf = (row: PaletteRecord): string => row.name;

const STARTERS: readonly Seen<Colorant>[] = STARTER_COLORANTS.map((value) => ({ value, revision: null }));

interface Colorants {
  /** by name: one's own, and the starters that have none of one's own in their place */
  readonly all: readonly Seen<Colorant>[];
  /** ids of stored ones that cannot be read */
  readonly damaged: readonly string[];
}

export function useColorantShelf(): Colorants {
  const { things: own, damaged } = useThings('colorants', colorantRows, idOf, readColorant);
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
  const { things: own, damaged } = useThings('palettes', paletteRows, nameOf, readPalette);
  return useMemo(() => ({ all: [BUILT_IN, ...own.map((p) => p.value)], own, damaged }), [own, damaged]);
}
