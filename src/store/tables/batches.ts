import type { Dexie, Table } from 'dexie';
import type { Batch } from '../../core/batch/batchSchema.ts';
import { BATCH_VERSION } from '../../core/batch/batchVersion.ts';
import type { BatchEvent } from '../../core/batch/eventSchema.ts';
import { isRecord } from '../../core/validate/isRecord.ts';
import { foundIn } from '../../core/exchange/migrate.ts';
import { addAside, ASIDE } from './aside.ts';
import { putInOneBreath } from './inOneBreath.ts';
import type { Old, TableHistory } from './table.ts';

/** A batch without its events. Once it is stored it stays as it is. */
export interface BatchRecord {
  readonly id: string;
  /** of the plan that it was begun of, which may be gone */
  readonly planId: string;
  readonly version: number;
  /** not checked before it is read */
  readonly value: Old;
}

/** One event of a batch, in a record of its own: so nothing that is written down can be written over. */
export interface EventRecord {
  readonly id: string;
  readonly batchId: string;
  readonly value: Old;
}

export const BATCHES: TableHistory = { name: 'batches', indexes: { 6: '&id, planId' } };
export const EVENTS: TableHistory = { name: 'events', indexes: { 6: '&id, batchId' } };

/** A database, or one of its transactions. */
interface Tables {
  readonly table: (name: string) => unknown;
}

const heads = (db: Tables) => db.table(BATCHES.name) as Table<BatchRecord, string>;
const events = (db: Tables) => db.table(EVENTS.name) as Table<EventRecord, string>;

/** A batch as it is stored, all of it together and not checked. */
export interface StoredBatch {
  readonly id: string;
  readonly version: number;
  readonly value: Old;
}

/** What is stored of a batch and is not stored yet, put there. What is there stays. */
async function putMissing(db: Tables, head: BatchRecord, said: readonly EventRecord[]): Promise<void> {
  if ((await heads(db).get(head.id)) === undefined) await heads(db).put(head);
  const there = await events(db).bulkGet(said.map((e) => e.id));
  await events(db).bulkPut(said.filter((_e, i) => there[i] === undefined));
}

function rowsOf({ events: all, ...value }: Old & { readonly events: readonly Old[] }): {
  readonly head: BatchRecord;
  readonly said: readonly EventRecord[];
} {
  const id = String(value['id']);
  const planId = String((value['plan'] as Old)['id']);
  return {
    head: { id, planId, version: BATCH_VERSION, value },
    said: all.map((event) => ({ id: String(event['id']), batchId: id, value: event })),
  };
}

/** A batch that was found in a plan of an older version, stored as the database is brought up to date. */
export function putFound(db: Tables, batch: Old): Promise<void> {
  const { head, said } = rowsOf(batch as Old & { readonly events: readonly Old[] });
  return putMissing(db, head, said);
}

/** The batch that an older version wrote in a plan, stored where there is one. */
export async function putBatchIn(db: Tables, plan: unknown, version: number): Promise<void> {
  const { batch } = isRecord(plan) ? foundIn(plan, version) : {};
  if (batch) await putFound(db, batch);
}

/** Store a batch, or those of these events that are not stored yet of one that is. */
export const putBatch = (
  db: Dexie,
  batch: Batch,
  said: readonly BatchEvent[] = batch.events,
): Promise<void> =>
  db.transaction('rw', heads(db), events(db), () => {
    const rows = rowsOf({ ...batch, events: said });
    return putMissing(db, rows.head, rows.said);
  });

/** Hand events to the browser while the page is going away. */
export function leaveEvents(db: Dexie, batch: Batch, said: readonly BatchEvent[]): void {
  const rows = rowsOf({ ...batch, events: said });
  putInOneBreath(db, { [BATCHES.name]: [rows.head], [EVENTS.name]: rows.said });
}

const withEvents = async (db: Dexie, { id, version, value }: BatchRecord): Promise<StoredBatch> => {
  const said = await events(db).where({ batchId: id }).toArray();
  return { id, version, value: { ...value, events: said.map((e) => e.value) } };
};

/** The batches that were begun of a plan. */
export const batchesOfPlan = async (db: Dexie, planId: string): Promise<readonly StoredBatch[]> =>
  Promise.all((await heads(db).where({ planId }).toArray()).map((head) => withEvents(db, head)));

/** One batch; undefined where none of that id is stored. */
export const batchById = async (db: Dexie, id: string): Promise<StoredBatch | undefined> => {
  const head = await heads(db).get(id);
  return head && withEvents(db, head);
};

export const allBatches = async (db: Dexie): Promise<readonly StoredBatch[]> =>
  Promise.all((await heads(db).toArray()).map((head) => withEvents(db, head)));

/** Batches that were begun since a moment, ms since 1970. */
export const batchesSince = async (db: Dexie, sinceMs: number): Promise<readonly StoredBatch[]> => {
  const begun = ({ value }: BatchRecord): boolean => {
    const started = value['started'];
    return isRecord(started) && Number(started['utcMs']) >= sinceMs;
  };
  return Promise.all((await heads(db).filter(begun).toArray()).map((head) => withEvents(db, head)));
};

/** Take a damaged batch with all of its events out of the way, as it is. */
export const setBatchAside = (db: Dexie, batch: StoredBatch): Promise<void> =>
  db.transaction('rw', [BATCHES.name, EVENTS.name, ASIDE.name], async () => {
    await addAside(db, BATCHES.name, batch.id, batch);
    await heads(db).delete(batch.id);
    await events(db).where({ batchId: batch.id }).delete();
  });

/** Whether a batch of that id is stored. */
export const hasBatch = async (db: Dexie, id: string): Promise<boolean> =>
  (await heads(db).get(id)) !== undefined;
