import type { DripLineDatabase } from '../database.ts';
import { StorageTrouble, troubleOf } from './trouble.ts';

/**
 * Storage that has not answered after this long is in trouble, ms. What is asked of it is asked again later.
 */
const ANSWER_MS = 5000;

/** Storage that has not answered before is not waited for as long again, ms. */
const AGAIN_MS = 1500;

/** How a database has behaved. */
interface Behaviour {
  /** it gave way to a newer Drip Line in another tab: opening it again would wait for ever */
  replaced: boolean;
  /** another tab holds it in an older state */
  blocked: boolean;
  /** it did not answer in time when it was last asked */
  silent: boolean;
  /** it failed for a reason of its own, perhaps opened in the middle of that: it is opened afresh */
  suspect: boolean;
  /** counts its openings: what was asked of an earlier one says nothing of this one */
  opening: number;
  closing: Promise<void>;
}

const behaviours = new WeakMap<DripLineDatabase, Behaviour>();

function behaviourOf(db: DripLineDatabase): Behaviour {
  const known = behaviours.get(db);
  if (known) return known;
  const fresh: Behaviour = {
    replaced: false,
    blocked: false,
    silent: false,
    suspect: false,
    opening: 0,
    closing: Promise.resolve(),
  };
  behaviours.set(db, fresh);
  db.on('versionchange', (event) => {
    // deleted by hand: nothing is newer, and it may be opened again
    if (event.newVersion !== null) fresh.replaced = true;
    db.close();
  });
  db.on('blocked', () => {
    fresh.blocked = true;
  });
  return fresh;
}

const within = <T>(ms: number, work: PromiseLike<T>, late: () => StorageTrouble): Promise<T> =>
  new Promise((done, failed) => {
    const timer = setTimeout(() => {
      failed(late());
    }, ms);
    work.then(
      (value) => {
        clearTimeout(timer);
        done(value);
      },
      (error: unknown) => {
        clearTimeout(timer);
        failed(error instanceof Error ? error : new Error(String(error)));
      },
    );
  });

async function open(db: DripLineDatabase, b: Behaviour, ms: number): Promise<void> {
  if (b.replaced) throw new StorageTrouble('replaced');
  if (b.suspect) {
    b.suspect = false;
    b.opening += 1;
    db.close();
    // an opening that is called off has ended only after this
    b.closing = new Promise((next) => setTimeout(next));
  }
  await b.closing;
  if (!db.isOpen()) {
    if (await within(ms, db.isNewer(), () => new StorageTrouble('failing')))
      throw new StorageTrouble('newer');
    await within(ms, db.open(), () => new StorageTrouble(b.blocked ? 'blocked' : 'failing'));
    b.blocked = false;
  }
}

/**
 * Do something with the database, opened first where it is not. Throws what the storage throws, or a
 * `StorageTrouble` when it does not answer within five seconds, was written by a newer Drip Line or is held
 * by another tab.
 */
export async function withStorage<T>(db: DripLineDatabase, work: () => PromiseLike<T>): Promise<T> {
  const b = behaviourOf(db);
  const ms = b.silent ? AGAIN_MS : ANSWER_MS;
  let { opening } = b;
  try {
    const opened = open(db, b, ms);
    ({ opening } = b);
    await opened;
    const answer = await within(ms, work(), () => new StorageTrouble('failing'));
    b.silent = false;
    return answer;
  } catch (error) {
    if (b.opening === opening) {
      b.silent = error instanceof StorageTrouble;
      b.suspect = troubleOf(error) === 'failing';
    }
    throw error;
  }
}
