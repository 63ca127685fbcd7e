import type { Supply } from '../core/supplies/schema.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import { database } from './database.ts';
import { marks } from './tables/marks.ts';
import type { ThingRecord } from './tables/kind.ts';
import { newRevision } from './tables/revisions.ts';
import { SUPPLIES } from './tables/supplies.ts';
import { addPlans, ADDED_TO } from './tables/plans.ts';

interface Studio {
  readonly format: string;
  readonly version: number;
}

/** The demo studio, if the server was started with it: an array of plan files. */
async function fetchStudio(): Promise<readonly Studio[]> {
  const response = await fetch('/studio.json');
  if (!response.ok || !(response.headers.get('content-type') ?? '').includes('json')) return [];
  const value: unknown = await response.json();
  return Array.isArray(value) ? (value as readonly Studio[]) : [];
}

/**
 * On the very first start in this browser, put the demo studio on the shelf. Later starts change nothing.
 * Returns what was refused of it, a line each.
 */
export async function firstStart(): Promise<readonly string[]> {
  if (await marks(database).get('first-start')) return [];
  const studio = await fetchStudio().catch(() => []);
  if (studio.length === 0) {
    await markStarted([]);
    return [];
  }
  // only now: later visits to the shelf never need the readers
  const { readPlanFile } = await import('../core/exchange/planFile.ts');
  const { readSuppliesFile } = await import('../core/exchange/suppliesFile.ts');
  const isSupplies = ({ format }: Studio): boolean => format === 'drip-line/supplies';
  const reads = studio.filter((f) => !isSupplies(f)).map((file) => readPlanFile(JSON.stringify(file)));
  const kept = studio.filter(isSupplies).map((file) => readSuppliesFile(JSON.stringify(file)));
  await markStarted(
    reads.flatMap((read) => (read.ok ? [read.plan] : [])),
    kept.flatMap((read) => (read.ok ? read.value : [])),
  );
  return [
    ...reads.flatMap((read) => (read.ok ? [] : read.faults)),
    ...kept.flatMap((read) => (read.ok ? [] : [read.fault])),
  ].map((f) => `${f.at ?? 'file'}: ${f.message}`);
}

const markStarted = (plans: readonly Plan[], supplies: readonly Supply[] = []): Promise<void> =>
  database.transaction('rw', [marks(database).name, SUPPLIES.name, ...ADDED_TO], async () => {
    if (await marks(database).get('first-start')) return;
    await marks(database).add({ key: 'first-start', at: new Date().toISOString() });
    await addPlans(database, plans);
    const known = new Set(await database.table(SUPPLIES.name).toCollection().primaryKeys());
    await database
      .table<ThingRecord>(SUPPLIES.name)
      .bulkAdd(
        supplies
          .filter(({ id }) => !known.has(id))
          .map((value) => ({ id: value.id, revision: newRevision(), version: 1, value })),
      );
  });
