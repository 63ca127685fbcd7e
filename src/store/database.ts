import { Dexie } from 'dexie';
import { ASIDE } from './tables/aside.ts';
import { BIN } from './tables/bin.ts';
import { BATCHES, EVENTS } from './tables/batches.ts';
import { COLORANTS } from './tables/colorants.ts';
import { DRAFTS } from './tables/drafts.ts';
import { HISTORIES } from './tables/histories.ts';
import { MARKS } from './tables/marks.ts';
import { MOULDS } from './tables/moulds.ts';
import { PALETTES } from './tables/palettes.ts';
import { PLANS } from './tables/plans.ts';
import { SETTINGS } from './tables/settings.ts';
import { STORES, SUPPLIES } from './tables/supplies.ts';

/** Every table there is or was. What each holds, and how it came to be so, stands in its own file. */
const TABLES = [
  PLANS,
  HISTORIES,
  DRAFTS,
  BATCHES,
  EVENTS,
  MOULDS,
  COLORANTS,
  PALETTES,
  STORES,
  SUPPLIES,
  SETTINGS,
  ASIDE,
  MARKS,
  BIN,
];

const VERSION = 8;

/** IndexedDB's number of a Dexie version. */
const DEXIE_FACTOR = 10;

export class DripLineDatabase extends Dexie {
  constructor(name = 'drip-line') {
    // strict: a save is done when it is on the disk, not when it is on its way there
    super(name, { chromeTransactionDurability: 'strict' });
    for (let n = 1; n <= VERSION; n += 1) {
      const indexes = TABLES.flatMap((t) => {
        const change = t.indexes[n];
        return change === undefined ? [] : [[t.name, change] as const];
      });
      const upgrades = TABLES.flatMap((t) => t.upgrades?.[n] ?? []);
      this.version(n)
        .stores(Object.fromEntries(indexes))
        .upgrade(async (transaction) => {
          for (const upgrade of upgrades) await upgrade(transaction);
        });
    }
  }

  /**
   * What is stored was written by a newer Drip Line, whose records this one must not touch. Asked before it
   * is opened: Dexie opens a newer database as if it were its own. Where the browser does not say, it is
   * taken for no newer.
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
