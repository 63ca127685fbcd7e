import * as v from 'valibot';
import { faultOf } from '../../core/exchange/schemaFaults.ts';
import type { Fault } from '../../core/result/result.ts';
import { storedSchema, type StoredOf, type StoreKind } from '../../core/stores/schema.ts';
import type { Gesture } from '../../store/gesture.ts';
import { storesKeeper } from '../../store/keeping/library.ts';
import type { Seen } from '../../store/keeping/libraryKeeper.ts';

/** Changes fields of one thing in the stores; a fault says which cannot be. */
export type Keep<K extends StoreKind> = (part: Partial<StoredOf<K>>, gesture?: Gesture) => Fault | undefined;

/** How one thing in the stores is changed: kept at once, whatever was copied from it into a plan staying as it was. */
export const keepOf =
  <K extends StoreKind>(seen: Seen<StoredOf<K>>): Keep<K> =>
  (part, gesture) => {
    const thing = seen.value;
    const next = { ...(storesKeeper.startOf(thing.id, gesture) ?? thing), ...part };
    const read = v.safeParse(storedSchema, next);
    if (!read.success) return faultOf(read.issues[0]);
    void storesKeeper.change(thing.id, seen, read.output, gesture);
    return undefined;
  };
