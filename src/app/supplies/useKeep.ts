import * as v from 'valibot';
import { faultOf } from '../../core/exchange/schemaFaults.ts';
import type { Fault } from '../../core/result/result.ts';
import { supplySchema, type SupplyOf, type SupplyKind } from '../../core/supplies/schema.ts';
import type { Gesture } from '../../store/gesture.ts';
import { supplyKeeper } from '../../store/keeping/library.ts';
import type { Seen } from '../../store/tables/kind.ts';

/** Changes fields of one thing in the supplies; a fault says which cannot be. */
export type Keep<K extends SupplyKind> = (part: Partial<SupplyOf<K>>, gesture?: Gesture) => Fault | undefined;

/**
 * How one thing in the supplies is changed: kept at once, whatever was copied from it into a plan staying as
 * it was.
 */
export const keepOf =
  <K extends SupplyKind>(seen: Seen<SupplyOf<K>>): Keep<K> =>
  (part, gesture) => {
    const thing = seen.value;
    const next = { ...(supplyKeeper.startOf(thing.id, gesture) ?? thing), ...part };
    const read = v.safeParse(supplySchema, next);
    if (!read.success) return faultOf(read.issues[0]);
    void supplyKeeper.change(thing.id, seen, read.output, gesture);
    return undefined;
  };
