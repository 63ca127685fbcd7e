import type { Archive, ArchivedThing } from '../../core/exchange/archiveFile.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { dequal } from 'dequal/lite';
import { ask } from '../ask.ts';
import { allBatches } from '../tables/batches.ts';
import { COLORANT } from '../tables/colorantKind.ts';
import { allOf, keyOfRow, readRow, type Kind } from '../tables/kind.ts';
import { MOULD } from '../tables/mouldKind.ts';
import { PALETTE } from '../tables/paletteKind.ts';
import { upToDate } from '../tables/upToDate.ts';
import { eachPlan, planRecords } from '../tables/plans.ts';
import { PROPS, UNITS } from '../tables/settingKinds.ts';
import { readBatches } from '../tables/storedBatch.ts';
import { readStored } from '../tables/storedPlan.ts';
import { SUPPLY } from '../tables/supplyKind.ts';
import {
  colorantKeeper,
  mouldKeeper,
  paletteKeeper,
  propsKeeper,
  supplyKeeper,
  unitsKeeper,
} from './library.ts';
import type { LibraryKeeper } from './libraryKeeper.ts';

/** A kind of the library with who keeps it, whatever its things are. */
interface Kept {
  readonly kind: Kind<unknown>;
  readonly keeper: LibraryKeeper<unknown>;
}

const kept = <T>(kind: Kind<T>, keeper: LibraryKeeper<T>): Kept => ({ kind, keeper }) as unknown as Kept;

const LIBRARY: readonly Kept[] = [
  kept(MOULD, mouldKeeper),
  kept(COLORANT, colorantKeeper),
  kept(PALETTE, paletteKeeper),
  kept(SUPPLY, supplyKeeper),
  kept(UNITS, unitsKeeper),
  kept(PROPS, propsKeeper),
];

/** Everything that is stored here and can be read, and how many records cannot. */
export async function everything(): Promise<{ readonly archive: Archive; readonly unread: number }> {
  let unread = 0;
  const plans: Plan[] = [];
  await ask((db) =>
    eachPlan(db, (record) => {
      const read = readStored(record.plan, record.version);
      if (read.ok) plans.push(read.plan);
      else unread += 1;
    }),
  );
  const { batches, damaged } = readBatches(await ask(allBatches));
  unread += damaged.length;
  const library: ArchivedThing[] = [];
  for (const { kind } of LIBRARY)
    for (const row of await ask(allOf(kind))) {
      const value = readRow(kind, row);
      if (value === undefined) unread += 1;
      else library.push({ table: kind.table, version: kind.version, value });
    }
  return { archive: { plans, batches, library }, unread };
}

/** Of these plans those that do not stand here just as they are. */
export async function notHere(plans: readonly Plan[]): Promise<readonly Plan[]> {
  const records = await ask((db) =>
    planRecords(
      db,
      plans.map((p) => p.id),
    ),
  );
  return plans.filter((plan, i) => {
    const record = records[i];
    return !record || !dequal(upToDate(record.plan, record.version), plan);
  });
}

/** What became of a library that was brought. */
export interface Brought {
  readonly taken: number;
  /** there already, as another thing of the same name: what is here stays */
  readonly stayed: readonly string[];
  /** could not be read */
  readonly refused: number;
}

/** Put the things of an archive into the library. What is here already stays as it is. */
export async function bringLibrary(things: readonly ArchivedThing[]): Promise<Brought> {
  const stayed: string[] = [];
  let taken = 0;
  let refused = 0;
  for (const { kind, keeper } of LIBRARY) {
    const own = things.filter((t) => t.table === kind.table);
    if (own.length === 0) continue;
    const there = new Map(
      (await ask(allOf(kind))).map((row) => [keyOfRow(kind, row), readRow(kind, row)] as const),
    );
    for (const { version, value } of own) {
      const read = version <= kind.version ? kind.read(value, version) : undefined;
      // settings share a table: each is read by its own schema
      if (read === undefined) {
        if (!LIBRARY.some((k) => k.kind !== kind && k.kind.table === kind.table)) refused += 1;
        continue;
      }
      const key = kind.keyOf(read);
      if (!there.has(key)) {
        await keeper.change(key, null, read);
        taken += 1;
      } else if (!dequal(there.get(key), read)) stayed.push(kind.nameOf(read));
    }
  }
  return { taken, stayed, refused };
}
