import type { Page } from 'playwright-core';
import type { Plan } from '../../../src/core/plan/planSchema.ts';

/** Everything in one store of the page's database. As text: the page knows no helpers of a compiler. */
export const storedIn = <T>(page: Page, table: string): Promise<readonly T[]> =>
  page.evaluate(`new Promise((done, failed) => {
    const opening = indexedDB.open('drip-line');
    opening.onerror = () => failed(opening.error);
    opening.onsuccess = () => {
      const asked = opening.result.transaction(${JSON.stringify(table)}).objectStore(${JSON.stringify(table)}).getAll();
      asked.onsuccess = () => { opening.result.close(); done(asked.result); };
    };
  })`);

/** Change a store behind the page's back: `change` is the body of a function of the store, as text. */
export const inStore = (page: Page, table: string, change: string): Promise<unknown> =>
  page.evaluate(`new Promise((done, failed) => {
    const opening = indexedDB.open('drip-line');
    opening.onerror = () => failed(opening.error);
    opening.onsuccess = () => {
      const transaction = opening.result.transaction(${JSON.stringify(table)}, 'readwrite');
      const store = transaction.objectStore(${JSON.stringify(table)});
      ${change}
      transaction.oncomplete = () => { opening.result.close(); done(); };
      transaction.onerror = () => failed(transaction.error);
    };
  })`);

/** A stored plan, but for when it was changed. */
export async function storedPlan(page: Page, id: string): Promise<Omit<Plan, 'changed'> | undefined> {
  const records = await storedIn<{ readonly id: string; readonly plan: Plan }>(page, 'plans');
  const plan = records.find((r) => r.id === id)?.plan;
  if (!plan) return undefined;
  const { changed: _changed, ...rest } = plan;
  return rest;
}
