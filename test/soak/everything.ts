import type { Page } from 'playwright-core';

/**
 * Plans, work that waits for a decision, histories and the library, as this browser holds them: what is
 * nowhere in it is lost.
 */
export interface Everything {
  /** plans as they are, and drafts beside them */
  readonly present: readonly { readonly name: string; readonly notes: string }[];
  /** the same with all that undo and redo can bring again, and the library, as text */
  readonly all: string;
}

export const everything = (page: Page): Promise<Everything> =>
  page.evaluate(`new Promise((done, failed) => {
    const opening = indexedDB.open('drip-line');
    opening.onerror = () => failed(opening.error);
    opening.onsuccess = () => {
      const db = opening.result;
      const all = {};
      const names = [...db.objectStoreNames];
      const transaction = db.transaction(names);
      for (const name of names) transaction.objectStore(name).getAll().onsuccess = (e) => { all[name] = e.target.result; };
      transaction.oncomplete = () => {
        db.close();
        const plans = [...all.plans.map((r) => r.plan), ...all.drafts.map((d) => d.plan)];
        done({ present: plans.map(({ name, notes }) => ({ name, notes })), all: JSON.stringify(all) });
      };
    };
  })`);
