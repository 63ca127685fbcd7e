import { database } from '../database.ts';
import { store } from '../store.ts';
import { COLORANT } from '../tables/colorantKind.ts';
import type { Kind } from '../tables/kind.ts';
import { MOULD } from '../tables/mouldKind.ts';
import { PALETTE } from '../tables/paletteKind.ts';
import { PROPS, UNITS } from '../tables/settingKinds.ts';
import { SUPPLY } from '../tables/supplyKind.ts';
import { toastShown } from '../toastSlice.ts';
import { storageAnswered, storageFailed } from './keepingSlice.ts';
import { LibraryKeeper } from './libraryKeeper.ts';
import { pendingGone, pendingShown } from './librarySlice.ts';

const keeperOf = <T>(kind: Kind<T>): LibraryKeeper<T> =>
  new LibraryKeeper(database, kind, {
    shown: (key, value, trouble) => {
      const { table } = kind;
      store.dispatch(
        value === undefined ? pendingGone({ table, key }) : pendingShown({ table, key, value, trouble }),
      );
      store.dispatch(trouble === null ? storageAnswered() : storageFailed(trouble));
    },
    gaveWay: (mine) => {
      store.dispatch(
        toastShown({
          text: `“${kind.nameOf(mine)}” was changed in another tab meanwhile, in the same field. What that tab wrote stays: type yours again to put it over it.`,
          tone: 'trouble',
        }),
      );
    },
  });

export const colorantKeeper = keeperOf(COLORANT);
export const mouldKeeper = keeperOf(MOULD);
export const paletteKeeper = keeperOf(PALETTE);
export const supplyKeeper = keeperOf(SUPPLY);
export const unitsKeeper = keeperOf(UNITS);
export const propsKeeper = keeperOf(PROPS);

/** Ask storage again for everything of the library that it has refused. */
export const libraryAgain = (): Promise<unknown> =>
  Promise.all(
    [colorantKeeper, mouldKeeper, paletteKeeper, supplyKeeper, unitsKeeper, propsKeeper].map((k) =>
      k.again(),
    ),
  );
