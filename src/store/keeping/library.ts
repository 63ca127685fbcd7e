import { dequal } from 'dequal/lite';
import type { Colorant } from '../../core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../core/colorant/starters.ts';
import { mergeFields } from '../../core/edit/mergeFields.ts';
import type { Palette } from '../../core/exchange/palette.ts';
import type { Thing } from '../../core/mould/propped.ts';
import type { Mould } from '../../core/mould/schema.ts';
import type { Units } from '../../core/plan/planSchema.ts';
import {
  database,
  type ColorantRecord,
  type MouldRecord,
  type PaletteRecord,
  type Revised,
  type SettingRecord,
  type StoreRecord,
} from '../database.ts';
import type { Stored } from '../../core/stores/schema.ts';
import { store } from '../store.ts';
import { toastShown } from '../toastSlice.ts';
import { storageAnswered, storageFailed } from './keepingSlice.ts';
import { LibraryKeeper, type Kind } from './libraryKeeper.ts';
import { pendingGone, pendingShown, type LibraryTable } from './librarySlice.ts';

const keeperOf = <T, R extends Revised>(
  table: LibraryTable,
  kind: Kind<T, R>,
  nameOf: (value: T) => string,
): LibraryKeeper<T, R> =>
  new LibraryKeeper(database, kind, {
    shown: (key, value, trouble) => {
      store.dispatch(
        value === undefined ? pendingGone({ table, key }) : pendingShown({ table, key, value, trouble }),
      );
      store.dispatch(trouble === null ? storageAnswered() : storageFailed(trouble));
    },
    gaveWay: (mine) => {
      store.dispatch(
        toastShown({
          text: `“${nameOf(mine)}” was changed in another tab meanwhile, in the same field. What that tab wrote stays: type yours again to put it over it.`,
          tone: 'trouble',
        }),
      );
    },
  });

/** Two changes of one whole thing: only the same again can stand beside another. */
const whole = <T>(base: T | null, mine: T, theirs: T): T | undefined =>
  dequal(theirs, base) || dequal(theirs, mine) ? mine : undefined;

const wholeApart = <T>(_start: T, _mine: T, theirs: T): T => theirs;

/** Where they changed what I had made of it, theirs; elsewhere as it was at the start. */
const fieldsApart = <T extends object>(start: T, mine: T, theirs: T): T =>
  mergeFields(mine, theirs, start).value;

const fields = <T extends object>(base: T | null, mine: T, theirs: T): T | undefined => {
  if (base === null) return whole(base, mine, theirs);
  const merged = mergeFields(base, mine, theirs);
  return merged.clashes.length > 0 ? undefined : merged.value;
};

export const colorantKeeper = keeperOf<Colorant, ColorantRecord>(
  'colorants',
  {
    table: (db) => db.colorants,
    record: (colorant, revision) => ({ id: colorant.id, revision, colorant }),
    valueOf: (r) => r.colorant,
    merge: fields,
    apart: fieldsApart,
    usual: (id) => STARTER_COLORANTS.find((c) => c.id === id),
  },
  (c) => c.name,
);

export const mouldKeeper = keeperOf<Mould, MouldRecord>(
  'moulds',
  {
    table: (db) => db.moulds,
    record: (mould, revision) => ({ name: mould.name, revision, mould }),
    valueOf: (r) => r.mould,
    merge: whole,
    apart: wholeApart,
  },
  (m) => m.name,
);

export const paletteKeeper = keeperOf<Palette, PaletteRecord>(
  'palettes',
  {
    table: (db) => db.palettes,
    record: (palette, revision) => ({ name: palette.name, revision, palette }),
    valueOf: (r) => r.palette,
    merge: whole,
    apart: wholeApart,
  },
  (p) => p.name,
);

/** Fragrances, stock jars, jugs, cutters and beginnings of one's own. */
export const storesKeeper = keeperOf<Stored, StoreRecord>(
  'stores',
  {
    table: (db) => db.stores,
    record: (thing, revision) => ({ id: thing.id, kind: thing.kind, revision, thing }),
    valueOf: (r) => r.thing,
    merge: fields,
    apart: fieldsApart,
  },
  (thing) => thing.name,
);

/** The units that were chosen last: of two choices of one thing the later one is meant. */
export const unitsKeeper = keeperOf<Units, SettingRecord>(
  'settings',
  {
    table: (db) => db.settings,
    record: (value, revision) => ({ key: 'units', revision, value }),
    valueOf: (r) => r.value as Units,
    merge: (base, mine, theirs) => (base === null ? mine : mergeFields(base, mine, theirs).value),
    apart: fieldsApart,
  },
  () => 'units',
);

/** What there is to prop a mould on. */
export const thingsKeeper = keeperOf<readonly Thing[], SettingRecord>(
  'settings',
  {
    table: (db) => db.settings,
    record: (value, revision) => ({ key: 'props', revision, value }),
    valueOf: (r) => r.value as readonly Thing[],
    merge: (_base, mine) => mine,
    apart: wholeApart,
  },
  () => 'things to prop on',
);

/** Ask storage again for everything of the library that it has refused. */
export const libraryAgain = (): Promise<unknown> =>
  Promise.all(
    [colorantKeeper, mouldKeeper, paletteKeeper, storesKeeper, unitsKeeper, thingsKeeper].map((k) =>
      k.again(),
    ),
  );
