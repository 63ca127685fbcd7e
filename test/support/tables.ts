import type { Dexie } from 'dexie';
import type { AsideRecord } from '../../src/store/tables/aside.ts';
import type { BatchRecord, EventRecord } from '../../src/store/tables/batches.ts';
import type { DraftRecord } from '../../src/store/tables/drafts.ts';
import type { HistoryRecord } from '../../src/store/tables/histories.ts';
import type { ThingRecord } from '../../src/store/tables/kind.ts';
import type { PlanRecord } from '../../src/store/tables/plans.ts';

/** The tables as they are stored: what the product asks of them through queries, a test looks at. */
export const tablesOf = (db: Dexie) => ({
  plans: db.table<PlanRecord, string>('plans'),
  histories: db.table<HistoryRecord, string>('histories'),
  drafts: db.table<DraftRecord, [string, string]>('drafts'),
  batches: db.table<BatchRecord, string>('batches'),
  events: db.table<EventRecord, string>('events'),
  moulds: db.table<ThingRecord & { readonly name: string }, string>('moulds'),
  colorants: db.table<ThingRecord & { readonly id: string }, string>('colorants'),
  palettes: db.table<ThingRecord & { readonly name: string }, string>('palettes'),
  supplies: db.table<ThingRecord & { readonly id: string }, string>('supplies'),
  aside: db.table<AsideRecord, number>('aside'),
  marks: db.table<unknown, string>('marks'),
});
