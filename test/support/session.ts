import { expect } from 'chai';
import { givePage, type FakeLocks } from './fakeLocks.ts';
import { MemoryStorage } from './memoryStorage.ts';

/** The store is imported after what a browser gives a page is there. */
export async function loadSession() {
  const locks: FakeLocks = givePage();
  Object.assign(globalThis, { localStorage: new MemoryStorage() });
  const [
    store,
    database,
    open,
    edit,
    computed,
    keep,
    library,
    gesture,
    page,
    planSlice,
    recover,
    conflicts,
    down,
    books,
    brought,
    batch,
    day,
    pulse,
  ] = await Promise.all([
    import('../../src/store/store.ts'),
    import('../../src/store/database.ts'),
    import('../../src/store/openPlan.ts'),
    import('../../src/store/editPlan.ts'),
    import('../../src/store/computed.ts'),
    import('../../src/store/keeping/keep.ts'),
    import('../../src/store/keeping/library.ts'),
    import('../../src/store/gesture.ts'),
    import('../../src/store/page.ts'),
    import('../../src/store/planSlice.ts'),
    import('../../src/store/keeping/recover.ts'),
    import('../../src/store/keeping/conflicts.ts'),
    import('../../src/store/writeDown.ts'),
    import('../../src/store/keeping/books.ts'),
    import('../../src/store/keeping/newPlans.ts'),
    import('../../src/store/batchSlice.ts'),
    import('../../src/store/day.ts'),
    import('../../src/store/pulse.ts'),
  ]);
  return {
    locks,
    ...store,
    ...database,
    ...open,
    ...edit,
    ...computed,
    ...keep,
    ...library,
    ...gesture,
    ...page,
    ...planSlice,
    ...recover,
    ...conflicts,
    ...down,
    ...books,
    ...brought,
    ...batch,
    ...day,
    ...pulse,
  };
}

export type Session = Awaited<ReturnType<typeof loadSession>>;

/** Wait until something is so, for six seconds at most. */
export async function until(done: () => boolean | Promise<boolean>, ms = 6000): Promise<void> {
  const end = performance.now() + ms;
  while (!(await done()) && performance.now() < end) await new Promise((next) => setTimeout(next, 10));
  expect(await done()).to.equal(true);
}

/** Every store of the database emptied. */
export const emptied = ({ database }: Session): Promise<unknown> =>
  Promise.all(database.tables.map((t) => t.clear()));
