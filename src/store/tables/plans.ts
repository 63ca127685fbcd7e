import { Dexie, type Table, type Transaction } from 'dexie';
import type { Batch } from '../../core/batch/batchSchema.ts';
import { isRecord } from '../../core/validate/isRecord.ts';
import { foundIn, v1to2 } from '../../core/exchange/migrate.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { PLAN_VERSION } from '../../core/plan/planVersion.ts';
import { newPlanId, PAGE_ID } from '../page.ts';
import { BATCHES, EVENTS, hasBatch, putBatch, putFound } from './batches.ts';
import { BIN, intoBin, outOfBin, type BinRecord } from './bin.ts';
import { HISTORIES, histories, type HistoryRecord } from './histories.ts';
import { newRevision, writeOn, type Written } from './revisions.ts';
import { reshaped, type Old, type Revised, type TableHistory } from './table.ts';
import { upToDate, versionOf } from './upToDate.ts';

/** A stored plan. */
export interface PlanRecord extends Revised {
  readonly id: string;
  readonly name: string;
  readonly changed: string;
  /** the page that saved it, so that a page can tell its own saves from others' */
  readonly savedBy: string;
  /** version of the plan's shape */
  readonly version: number;
  readonly plan: Plan;
}

/** Up to version 5 what was really done stood in the plan: it becomes a batch by itself. */
async function batchesApart(transaction: Transaction): Promise<void> {
  const found: Old[] = [];
  await reshaped(PLANS.name, (record) => {
    const { plan, version } = record;
    if (!isRecord(plan)) return null;
    const now = foundIn(plan, versionOf(version));
    if (!now.batch) return null;
    found.push(now.batch);
    return { ...record, version: PLAN_VERSION, plan: now.plan };
  })(transaction);
  for (const batch of found) await putFound(transaction, batch);
}

export const PLANS: TableHistory = {
  name: 'plans',
  indexes: { 1: '&id, changed, name', 8: '&id, changed, name, [id+revision]' },
  upgrades: {
    // a damaged record stays as it is: it must not keep the others from being opened
    2: reshaped('plans', (record) =>
      isRecord(record['plan']) ? { ...record, plan: v1to2(record['plan']) } : null,
    ),
    // as it was then: it is brought up to date when it is read
    3: reshaped('plans', (record) => ({ ...record, revision: String(record['revision']), version: 3 })),
    6: batchesApart,
  },
};

const rows = (db: Dexie): Table<PlanRecord, string> => db.table(PLANS.name);

/** A plan as it is worked on: with the plans before and after it. */
export interface Held {
  readonly plan: Plan;
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

/**
 * So many plans before and after are stored: a long way back, and little room, as they share what did not
 * change.
 */
const STEPS_STORED = 100;

export const recordOf = (plan: Plan, revision: string): PlanRecord => ({
  id: plan.id,
  name: plan.name,
  changed: plan.changed,
  revision,
  savedBy: PAGE_ID,
  version: PLAN_VERSION,
  plan,
});

/** The history as far as it is stored. */
export const storedSteps = ({ past, future }: Held): Pick<Held, 'past' | 'future'> => ({
  past: past.slice(-STEPS_STORED),
  future: future.slice(0, STEPS_STORED),
});

/** Store a plan that builds on the writing `base` (null: not stored yet), and its history with it. */
export const savePlan = (
  db: Dexie,
  held: Held,
  base: string | null,
  revision = newRevision(),
): Promise<Written<PlanRecord>> =>
  db.transaction('rw', rows(db), histories(db), async () => {
    const { plan } = held;
    const written = await writeOn(rows(db), plan.id, base, recordOf(plan, revision));
    if (written.kind === 'written')
      await histories(db).put({ planId: plan.id, revision, version: PLAN_VERSION, ...storedSteps(held) });
    return written;
  });

/** A name that no plan on the shelf has: "Slate Beds", "Slate Beds (2)", "Slate Beds (3)". */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  const plain = name.replace(/ \(\d+\)$/, '');
  for (let n = 2; ; n += 1) {
    const tried = `${plain.slice(0, 112)} (${n})`;
    if (!taken.has(tried)) return tried;
  }
}

/** The tables that new plans, and their batches, are put into. */
export const ADDED_TO = [PLANS.name, BATCHES.name, EVENTS.name];

/** What came out of a file: a plan, a batch, or a plan with the batch that an older version wrote in it. */
export interface FoundPlan {
  readonly plan?: Plan;
  readonly batch?: Batch;
}

/** A batch of the plan that it came with, which may have been given another id. */
export const batchOfPlan = (batch: Batch, { id, name }: Plan): Batch => ({
  ...batch,
  plan: { ...batch.plan, id, name },
});

/**
 * Store plans that are new here, and their batches. A plan whose id is taken gets a fresh id, one whose name
 * is taken a name that tells them apart; nothing stored changes. A batch that is stored already gets the
 * events that it lacks. The plans as they were stored are returned.
 */
export const addFound = (db: Dexie, found: readonly FoundPlan[]): Promise<readonly Plan[]> =>
  db.transaction('rw', ADDED_TO, async () => {
    const stored: Plan[] = [];
    const names = new Set((await rows(db).orderBy('name').keys()) as string[]);
    for (const { plan, batch } of found) {
      if (!plan) {
        if (batch) await putBatch(db, batch);
        continue;
      }
      const taken = (await rows(db).get(plan.id)) !== undefined;
      const name = freeName(plan.name, names);
      const added = { ...plan, name, id: taken ? newPlanId() : plan.id };
      names.add(name);
      await rows(db).add(recordOf(added, newRevision()));
      stored.push(added);
      if (batch) await putBatch(db, (await hasBatch(db, batch.id)) ? batch : batchOfPlan(batch, added));
    }
    return stored;
  });

/** The same, of plans alone. */
export const addPlans = (db: Dexie, plans: readonly Plan[]): Promise<readonly Plan[]> =>
  addFound(
    db,
    plans.map((plan) => ({ plan })),
  );

/** What a delete took away: enough to put it back as it was. */
export interface Taken {
  readonly record: PlanRecord;
  readonly history: HistoryRecord | undefined;
  /** what it is known by in the bin; absent: it was never stored, and is not there */
  readonly binned?: string;
}

/** Put a plan into the bin, and hand back what was taken, so that `restorePlan` can undo it. */
export const deletePlan = (db: Dexie, id: string): Promise<Taken | undefined> =>
  db.transaction('rw', [PLANS.name, HISTORIES.name, BIN.name], async () => {
    const [record, history] = await Promise.all([rows(db).get(id), histories(db).get(id)]);
    await rows(db).delete(id);
    await histories(db).delete(id);
    if (!record) return undefined;
    const { name } = record;
    const binned = await intoBin(db, {
      table: PLANS.name,
      key: id,
      name,
      record,
      ...(history ? { history } : {}),
    });
    return { record, history, binned };
  });

/** A plan of the bin, as a delete took it away. */
export const takenOf = ({ id, record, history }: BinRecord): Taken => ({
  record: record as PlanRecord,
  history: history as HistoryRecord | undefined,
  binned: id,
});

/**
 * Put a deleted plan back. Where a plan of that id is stored again meanwhile, that one stays and the deleted
 * one comes back beside it; the plan as it came back is returned.
 */
export const restorePlan = (db: Dexie, { record, history, binned }: Taken): Promise<Plan> =>
  db.transaction('rw', [...ADDED_TO, HISTORIES.name, BIN.name], async () => {
    if (binned !== undefined) await outOfBin(db, binned);
    const written = await writeOn(rows(db), record.id, null, record);
    if (written.kind === 'written') {
      if (history) await histories(db).put(history);
      return record.plan;
    }
    const plan = upToDate(record.plan, record.version) as Plan;
    const [beside] = await addPlans(db, [plan]);
    return beside ?? plan;
  });

export interface PlanEntry {
  readonly id: string;
  readonly name: string;
  readonly changed: string;
  /** its record says no name or no moment: it is damaged */
  readonly unlisted?: true;
}

/** A key of an index; one that is no text is of a damaged record. */
const textOf = (key: unknown): string => (typeof key === 'string' ? key : '');

/** Every plan's entry, newest change first, from index keys alone: the plans themselves are not read. */
export async function listPlans(db: Dexie): Promise<readonly PlanEntry[]> {
  const [names, ids, order, moments, all] = await Promise.all([
    rows(db).orderBy('name').keys(),
    rows(db).orderBy('name').primaryKeys(),
    rows(db).orderBy('changed').reverse().primaryKeys(),
    rows(db).orderBy('changed').reverse().keys(),
    rows(db).toCollection().primaryKeys(),
  ]);
  const nameOf = new Map(ids.map((id, i) => [id, textOf(names[i])]));
  const listed = new Set(order);
  return [
    ...all
      .filter((id) => !listed.has(id) || !nameOf.has(id))
      .map((id): PlanEntry => ({ id, name: nameOf.get(id) ?? id, changed: '', unlisted: true })),
    ...order.flatMap((id, i) => {
      const name = nameOf.get(id);
      return name === undefined ? [] : [{ id, name, changed: textOf(moments[i]) }];
    }),
  ];
}

/** Which writing of a plan is stored, from index keys alone: the plan itself is not read. */
export async function storedRevision(db: Dexie, id: string): Promise<string | undefined> {
  const found = await rows(db).where('[id+revision]').between([id, Dexie.minKey], [id, Dexie.maxKey]).keys();
  return (found as unknown as [string, string][])[0]?.[1];
}

export const planRecord = (db: Dexie, id: string): Promise<PlanRecord | undefined> => rows(db).get(id);

export const planRecords = (
  db: Dexie,
  ids: readonly string[],
): Promise<readonly (PlanRecord | undefined)[]> => rows(db).bulkGet([...ids]);

export const lastChanged = (db: Dexie): Promise<PlanRecord | undefined> => rows(db).orderBy('changed').last();

/** Every plan, one after another: all of them at once may be much. */
export const eachPlan = (db: Dexie, tell: (record: PlanRecord) => void): Promise<void> => rows(db).each(tell);
