import { PLAN_VERSION } from '../../core/exchange/planVersion.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { DripLineDatabase, HistoryRecord, PlanRecord } from '../database.ts';
import { newPlanId, PAGE_ID } from '../page.ts';
import { newRevision, writeOn, type Written } from './revisions.ts';
import { upToDate } from './upToDate.ts';

/** A plan as it is worked on: with the plans before and after it. */
export interface Held {
  readonly plan: Plan;
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

/** So many plans before and after are stored: a long way back, and little room, as they share what did not change. */
const STEPS_STORED = 100;

export const recordOf = (plan: Plan, revision: string): PlanRecord => ({
  id: plan.id,
  name: plan.name,
  changed: plan.changed,
  revision,
  savedBy: PAGE_ID,
  version: PLAN_VERSION,
  plan,
});

/** The history as far as it is stored. */
export const storedSteps = ({ past, future }: Held): Pick<Held, 'past' | 'future'> => ({
  past: past.slice(-STEPS_STORED),
  future: future.slice(0, STEPS_STORED),
});

/** Store a plan that builds on the writing `base` (null: not stored yet), and its history with it. */
export const savePlan = (
  db: DripLineDatabase,
  held: Held,
  base: string | null,
  revision = newRevision(),
): Promise<Written<PlanRecord>> =>
  db.transaction('rw', db.plans, db.histories, async () => {
    const { plan } = held;
    const written = await writeOn(db.plans, plan.id, base, recordOf(plan, revision));
    if (written.kind === 'written')
      await db.histories.put({ planId: plan.id, revision, version: PLAN_VERSION, ...storedSteps(held) });
    return written;
  });

/** A name that no plan on the shelf has: "Slate Beds", "Slate Beds (2)", "Slate Beds (3)". */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  const plain = name.replace(/ \(\d+\)$/, '');
  for (let n = 2; ; n += 1) {
    const tried = `${plain.slice(0, 112)} (${n})`;
    if (!taken.has(tried)) return tried;
  }
}

/**
 * Store plans that are new here. A plan whose id is taken gets a fresh id, one whose name is taken a name that tells them
 * apart; nothing stored changes. The plans as they were stored are returned.
 */
export const addPlans = (db: DripLineDatabase, plans: readonly Plan[]): Promise<readonly Plan[]> =>
  db.transaction('rw', db.plans, async () => {
    const stored: Plan[] = [];
    const names = new Set((await db.plans.orderBy('name').keys()) as string[]);
    for (const plan of plans) {
      const taken = (await db.plans.get(plan.id)) !== undefined;
      const name = freeName(plan.name, names);
      const added = { ...plan, name, id: taken ? newPlanId() : plan.id };
      names.add(name);
      await db.plans.add(recordOf(added, newRevision()));
      stored.push(added);
    }
    return stored;
  });

/** What a delete took away: enough to put it back as it was. */
export interface Taken {
  readonly record: PlanRecord;
  readonly history: HistoryRecord | undefined;
}

/** Take a plan out and hand back what was taken, so that `restorePlan` can undo it. */
export const deletePlan = (db: DripLineDatabase, id: string): Promise<Taken | undefined> =>
  db.transaction('rw', db.plans, db.histories, async () => {
    const [record, history] = await Promise.all([db.plans.get(id), db.histories.get(id)]);
    await db.plans.delete(id);
    await db.histories.delete(id);
    return record && { record, history };
  });

/**
 * Put a deleted plan back. Where a plan of that id is stored again meanwhile, that one stays and the deleted one comes back
 * beside it; the plan as it came back is returned.
 */
export const restorePlan = (db: DripLineDatabase, { record, history }: Taken): Promise<Plan> =>
  db.transaction('rw', db.plans, db.histories, async () => {
    const written = await writeOn(db.plans, record.id, null, record);
    if (written.kind === 'written') {
      if (history) await db.histories.put(history);
      return record.plan;
    }
    const plan = upToDate(record.plan, record.version) as Plan;
    const [beside] = await addPlans(db, [plan]);
    return beside ?? plan;
  });

export interface PlanEntry {
  readonly id: string;
  readonly name: string;
  readonly changed: string;
  /** its record says no name or no moment: it is damaged */
  readonly unlisted?: true;
}

/** A key of an index; one that is no text is of a damaged record. */
const textOf = (key: unknown): string => (typeof key === 'string' ? key : '');

/** Every plan's entry, newest change first, from index keys alone: the plans themselves are not read. */
export async function listPlans(db: DripLineDatabase): Promise<readonly PlanEntry[]> {
  const [names, ids, order, moments, all] = await Promise.all([
    db.plans.orderBy('name').keys(),
    db.plans.orderBy('name').primaryKeys(),
    db.plans.orderBy('changed').reverse().primaryKeys(),
    db.plans.orderBy('changed').reverse().keys(),
    db.plans.toCollection().primaryKeys(),
  ]);
  const nameOf = new Map(ids.map((id, i) => [id, textOf(names[i])]));
  const listed = new Set(order);
  return [
    ...all
      .filter((id) => !listed.has(id) || !nameOf.has(id))
      .map((id): PlanEntry => ({ id, name: nameOf.get(id) ?? id, changed: '', unlisted: true })),
    ...order.flatMap((id, i) => {
      const name = nameOf.get(id);
      return name === undefined ? [] : [{ id, name, changed: textOf(moments[i]) }];
    }),
  ];
}
