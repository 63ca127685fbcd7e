import { Dexie, type EntityTable } from 'dexie';
import type { Colorant } from '../core/colorant/schema.ts';
import { v1to2 } from '../core/exchange/migrate.ts';
import type { Palette } from '../core/exchange/palette.ts';
import type { Mould } from '../core/mould/schema.ts';
import type { Plan } from '../core/plan/planSchema.ts';

/** A stored plan. `revision` counts saves; a save that does not build on the newest one is a conflict. */
export interface PlanRecord {
  readonly id: string;
  readonly name: string;
  readonly changed: string;
  readonly revision: number;
  /** the tab that saved it, so that a tab can tell its own saves from others' */
  readonly savedBy: string;
  readonly plan: Plan;
}

/** A mould of one's own, by its name. Plans keep their own copies: changing this changes no plan. */
export interface MouldRecord {
  readonly name: string;
  readonly mould: Mould;
}

interface Mark {
  readonly key: 'first-start';
  readonly at: string;
}

export class DripLineDatabase extends Dexie {
  declare plans: EntityTable<PlanRecord, 'id'>;
  declare moulds: EntityTable<MouldRecord, 'name'>;
  /** the supplies: colorants of one's own, or a starter with its stock or a better description */
  declare colorants: EntityTable<Colorant, 'id'>;
  declare palettes: EntityTable<Palette, 'name'>;
  declare marks: EntityTable<Mark, 'key'>;

  constructor(name = 'drip-line') {
    super(name);
    this.version(1).stores({ plans: '&id, changed, name', marks: '&key', moulds: '&name' });
    this.version(2)
      .stores({ colorants: '&id, name', palettes: '&name' })
      .upgrade((transaction) =>
        transaction
          .table<{ plan: unknown }>('plans')
          .toCollection()
          .modify((record) => {
            record.plan = v1to2(record.plan as Record<string, unknown>);
          }),
      );
  }
}

export const database = new DripLineDatabase();
