import { dequal } from 'dequal/lite';
import type { DripLineDatabase } from '../database.ts';
import type { Gesture } from '../gesture.ts';
import { BIN, intoBin } from '../tables/bin.ts';
import { rowsOf, thingRecord, type Kind, type Seen } from '../tables/kind.ts';
import { newRevision } from '../tables/revisions.ts';
import { withStorage } from './storage.ts';
import { troubleOf, type Trouble } from './trouble.ts';

/** After a failed save: how long until the next try, ms. */
const RETRY_MS = 4000;

/** What was stored is shown from here until whoever follows the table has it too, ms. */
const SEEN_MS = 400;

interface Item<T> {
  /** as it was seen when the change began */
  readonly start: Seen<T> | null;
  /** as it is wanted; null: out of the library */
  next: T | null;
  /** the newest that another page has made of it; null where it took it out */
  foreign: T | null;
  readonly own: Set<string>;
  /** what was last written of `next` */
  wrote: T | null;
  gesture: Gesture | undefined;
  /** as it was when that gesture began: with what earlier ones made of it, stored or not */
  begun: T | null;
  stored: boolean;
  saving: Promise<void> | undefined;
}

export interface LibraryTells<T> {
  /** shown in place of what is stored; undefined: what is stored is shown again */
  readonly shown: (key: string, value: T | null | undefined, trouble: Trouble | null) => void;
  /** another page changed the same field meanwhile: what it wrote stays */
  readonly gaveWay: (mine: T) => void;
}

/**
 * Keeps changes to things of the library: each shows at once, is written on top of what other pages wrote
 * meanwhile (what only one changed is merged, and what both changed is told, not overwritten), and is tried
 * again while storage refuses it.
 */
export class LibraryKeeper<T> {
  readonly #db: DripLineDatabase;
  readonly #kind: Kind<T>;
  readonly #tells: LibraryTells<T>;
  readonly #items = new Map<string, Item<T>>();

  constructor(db: DripLineDatabase, kind: Kind<T>, tells: LibraryTells<T>) {
    this.#db = db;
    this.#kind = kind;
    this.#tells = tells;
  }

  /** The thing as the change that is going on found it; what a gesture's edits start from. */
  startOf(key: string, gesture: Gesture | undefined): T | undefined {
    const item = this.#items.get(key);
    return gesture && item?.gesture === gesture ? (item.begun ?? undefined) : undefined;
  }

  /**
   * Put a thing into the library (null: take it out), seen as `start`. Resolves when it is stored or was
   * first refused.
   */
  change(key: string, start: Seen<T> | null, next: T | null, gesture?: Gesture): Promise<void> {
    const going = this.#items.get(key);
    // a change that is not stored yet goes on from where it began
    const same = going && (!going.stored || (gesture !== undefined && going.gesture === gesture));
    const item: Item<T> = same
      ? going
      : {
          start,
          next,
          foreign: start?.value ?? null,
          own: new Set(),
          wrote: null,
          gesture,
          begun: start?.value ?? null,
          stored: false,
          saving: undefined,
        };
    if (gesture && item.gesture !== gesture) {
      item.gesture = gesture;
      item.begun = item.next;
    }
    item.next = next;
    item.stored = false;
    gesture?.changes(() => {
      // an earlier gesture's change is not this one's to take back, stored or not
      const alone = item.begun === (item.start?.value ?? null);
      void this.change(key, item.start, alone ? item.foreign : item.begun, gesture);
    });
    this.#items.set(key, item);
    this.#tells.shown(key, next, null);
    return this.#save(key, item);
  }

  /** Something is not stored, as storage refuses it. */
  get unstored(): boolean {
    return [...this.#items.values()].some((i) => !i.stored);
  }

  #save(key: string, item: Item<T>): Promise<void> {
    item.saving ??= this.#run(key, item).finally(() => {
      item.saving = undefined;
    });
    return item.saving;
  }

  async #run(key: string, item: Item<T>): Promise<void> {
    for (;;) {
      const { next } = item;
      try {
        const gaveWay = await withStorage(this.#db, () => this.#write(key, item, next));
        if (item.next !== next) continue;
        item.stored = true;
        if (gaveWay && next !== null) this.#tells.gaveWay(next);
        if (gaveWay) {
          // what is typed next is typed over what is there now
          item.gesture = undefined;
          this.#end(key, item);
        } else
          setTimeout(() => {
            if (item.stored) this.#end(key, item);
          }, SEEN_MS);
      } catch (error) {
        this.#tells.shown(key, item.next, troubleOf(error));
        setTimeout(() => {
          if (!item.stored) void this.#save(key, item);
        }, RETRY_MS);
      }
      return;
    }
  }

  /** Ask storage again now for what it has refused. */
  again(): Promise<unknown> {
    const refused = [...this.#items].filter(([, item]) => !item.stored);
    return Promise.all(refused.map(([key, item]) => this.#save(key, item)));
  }

  #end(key: string, item: Item<T>): void {
    if (this.#items.get(key) !== item) return;
    // a gesture that goes on still needs to know where it began
    if (item.gesture === undefined) this.#items.delete(key);
    this.#tells.shown(key, undefined, null);
  }

  /** True where both changed the same and this page's change gives way. */
  async #write(key: string, item: Item<T>, next: T | null): Promise<boolean> {
    const { merge, apart, usual } = this.#kind;
    const rows = rowsOf(this.#db, this.#kind);
    return this.#db.transaction('rw', [rows.name, BIN.name], async () => {
      const there = await rows.get(key);
      const known = there ? item.own.has(there.revision) : item.own.size === 0 && item.start === null;
      if (!known && there?.revision !== item.start?.revision) {
        const theirs = there ? (there.value as T) : null;
        item.foreign =
          theirs !== null && item.wrote !== null && item.start !== null
            ? apart(item.start.value, item.wrote, theirs)
            : theirs;
      }
      if (next === null) {
        // what was made in the same breath was never there
        if (there && item.start)
          await intoBin(this.#db, {
            table: this.#kind.table,
            key,
            name: this.#kind.nameOf(item.start.value),
            record: there,
          });
        await rows.delete(key);
        return false;
      }
      const merged = item.foreign === null ? next : merge(item.start?.value ?? null, next, item.foreign);
      if (merged === undefined) return true;
      item.wrote = next;
      if (dequal(merged, usual?.(key))) {
        await rows.delete(key);
        return false;
      }
      const revision = newRevision();
      await rows.put(thingRecord(this.#kind, merged, revision));
      item.own.add(revision);
      return false;
    });
  }
}
