import type { Plan } from '../core/plan/planSchema.ts';
import { database } from './database.ts';
import { addPlans } from './planRecords.ts';
import { newPlanId, TAB_ID } from './tab.ts';

/** The demo studio, if the server was started with it: an array of plans. */
async function fetchStudio(): Promise<readonly unknown[]> {
  const response = await fetch('/studio.json');
  if (!response.ok || !(response.headers.get('content-type') ?? '').includes('json')) return [];
  const value: unknown = await response.json();
  return Array.isArray(value) ? (value as readonly unknown[]) : [];
}

/** On the very first start in this browser, put the demo studio on the shelf. Later starts change nothing. */
export async function firstStart(): Promise<void> {
  if (await database.marks.get('first-start')) return;
  const studio = await fetchStudio().catch(() => []);
  if (studio.length === 0) return markStarted([]);
  // only now: later visits to the shelf never need the reader
  const { readPlanValue } = await import('../core/exchange/planFile.ts');
  const plans = studio.flatMap((value) => {
    const read = readPlanValue(value);
    return read.ok ? [read.plan] : [];
  });
  return markStarted(plans);
}

const markStarted = (plans: readonly Plan[]): Promise<void> =>
  database.transaction('rw', database.marks, database.plans, async () => {
    if (await database.marks.get('first-start')) return;
    await database.marks.add({ key: 'first-start', at: new Date().toISOString() });
    await addPlans(database, plans, newPlanId, TAB_ID);
  });
