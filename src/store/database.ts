import { Dexie, type EntityTable, type Table } from 'dexie';
import type { Colorant } from '../core/colorant/schema.ts';
import { manyColumns, v1to2 } from '../core/exchange/migrate.ts';
import type { Palette } from '../core/exchange/palette.ts';
import type { Mould } from '../core/mould/schema.ts';
import type { Stored, StoreKind } from '../core/stores/schema.ts';
import type { Plan } from '../core/plan/planSchema.ts';

/** Every record that a maker's work is in says which writing of it this is: a write that does not build on it is refused. */
export interface Revised {
  readonly revision: string;
}

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

/** The plans before and after the stored one: they go with that writing of it alone. */
export interface HistoryRecord extends Revised {
  readonly planId: string;
  readonly version: number;
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

/** What a page has of a plan that is not stored: on its way there, or kept until the maker decides between it and another. */
export interface DraftRecord {
  readonly planId: string;
  readonly page: string;
  /** the writing it builds on; null: the plan was not stored then */
  readonly base: string | null;
  readonly version: number;
  readonly plan: Plan;
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

/** A mould of one's own, by its name. Plans keep their own copies: changing this changes no plan. */
export interface MouldRecord extends Revised {
  readonly name: string;
  readonly mould: Mould;
}

/** The supplies: a colorant of one's own, or a starter with its stock or a better description. */
export interface ColorantRecord extends Revised {
  readonly id: string;
  readonly colorant: Colorant;
}

export interface PaletteRecord extends Revised {
  readonly name: string;
  readonly palette: Palette;
}

export interface SettingRecord extends Revised {
  readonly key: 'units' | 'props';
  readonly value: unknown;
}

/** A damaged record that was taken out of the way, as it was. */
export interface AsideRecord {
  readonly id: number;
  readonly table: string;
  readonly key: string;
  readonly at: string;
  readonly record: unknown;
}

/** A thing of one's own stores. */
export interface StoreRecord extends Revised {
  readonly id: string;
  readonly kind: StoreKind;
  readonly thing: Stored;
}

interface Mark {
  readonly key: 'first-start';
  readonly at: string;
}

const VERSION = 5;

/** IndexedDB's number of a Dexie version. */
const DEXIE_FACTOR = 10;

/** The writing of records that were stored before writings were named. */
const FIRST = 'first';

type Old = Record<string, unknown>;

export class DripLineDatabase extends Dexie {
  declare plans: Table<PlanRecord, string>;
  declare histories: Table<HistoryRecord, string>;
  declare drafts: Table<DraftRecord, [string, string]>;
  declare moulds: Table<MouldRecord, string>;
  declare colorants: Table<ColorantRecord, string>;
  declare palettes: Table<PaletteRecord, string>;
  declare stores: Table<StoreRecord, string>;
  declare settings: Table<SettingRecord, string>;
  declare aside: EntityTable<AsideRecord, 'id'>;
  declare marks: EntityTable<Mark, 'key'>;

  constructor(name = 'drip-line') {
    // strict: a save is done when it is on the disk, not when it is on its way there
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ plans: '&id, changed, name', marks: '&key', moulds: '&name' });
    this.version(2)
      .stores({ colorants: '&id, name', palettes: '&name' })
      .upgrade((transaction) =>
        transaction
          .table<Old>('plans')
          .toCollection()
          .modify((record) => {
            const plan: unknown = record['plan'];
            // a damaged record stays as it is: it must not keep the others from being opened
            if (typeof plan === 'object' && plan !== null) record['plan'] = v1to2(plan as Old);
          }),
      );
    this.version(3)
      .stores({
        histories: '&planId',
        drafts: '[planId+page], planId',
        colorants: '&id',
        settings: '&key',
        aside: '++id',
      })
      .upgrade(async (transaction) => {
        await transaction
          .table<Old>('plans')
          .toCollection()
          .modify((record) => {
            record['revision'] = String(record['revision']);
            // as it was then: it is brought up to date when it is read
            record['version'] = 3;
          });
        await transaction
          .table<Old>('moulds')
          .toCollection()
          .modify((record) => {
            record['revision'] = FIRST;
          });
        for (const [table, key, inside] of [
          ['colorants', 'id', 'colorant'],
          ['palettes', 'name', 'palette'],
        ] as const)
          await transaction
            .table<Old>(table)
            .toCollection()
            .modify((record, ref) => {
              ref.value = { [key]: record[key], revision: FIRST, [inside]: record };
            });
      });
    this.version(4).stores({ stores: '&id, kind' });
    this.version(VERSION).upgrade((transaction) =>
      transaction
        .table<Old>('moulds')
        .toCollection()
        .modify((record) => {
          record['mould'] = manyColumns(record['mould']);
        }),
    );
  }

  /**
   * What is stored was written by a newer Drip Line, whose records this one must not touch. Asked before it is opened: Dexie opens
   * a newer database as if it were its own. Where the browser does not say, it is taken for no newer.
   */
  async isNewer(): Promise<boolean> {
    try {
      const all = await indexedDB.databases();
      return (all.find((d) => d.name === this.name)?.version ?? 0) > VERSION * DEXIE_FACTOR;
    } catch {
      return false;
    }
  }
}

export const database = new DripLineDatabase();
