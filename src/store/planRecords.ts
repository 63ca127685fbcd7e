import type { Plan } from '../core/plan/planSchema.ts';
import type { DripLineDatabase, PlanRecord } from './database.ts';

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly revision: number }
  /** another tab saved since `baseRevision`, or deleted the plan (`theirs` undefined); nothing was written */
  | { readonly kind: 'conflict'; readonly theirs: PlanRecord | undefined };

const recordOf = (plan: Plan, revision: number, savedBy: string): PlanRecord => ({
  id: plan.id,
  name: plan.name,
  changed: plan.changed,
  revision,
  savedBy,
  plan,
});

/** Store a plan that builds on `baseRevision` (0: not stored yet). Never overwrites a save it has not seen. */
export const savePlan = (
  db: DripLineDatabase,
  plan: Plan,
  baseRevision: number,
  savedBy: string,
): Promise<SaveOutcome> =>
  db.transaction('rw', db.plans, async (): Promise<SaveOutcome> => {
    const theirs = await db.plans.get(plan.id);
    if ((theirs?.revision ?? 0) !== baseRevision) return { kind: 'conflict', theirs };
    const revision = baseRevision + 1;
    await db.plans.put(recordOf(plan, revision, savedBy));
    return { kind: 'saved', revision };
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
export const addPlans = (
  db: DripLineDatabase,
  plans: readonly Plan[],
  freshId: () => string,
  savedBy: string,
): Promise<readonly Plan[]> =>
  db.transaction('rw', db.plans, async () => {
    const stored: Plan[] = [];
    const names = new Set((await db.plans.orderBy('name').keys()) as string[]);
    for (const plan of plans) {
      const taken = (await db.plans.get(plan.id)) !== undefined;
      const name = freeName(plan.name, names);
      const added = { ...plan, name, id: taken ? freshId() : plan.id };
      names.add(name);
      await db.plans.add(recordOf(added, 1, savedBy));
      stored.push(added);
    }
    return stored;
  });

/** Take a plan out and hand back its record, so that `restorePlan` can undo it. */
export const deletePlan = (db: DripLineDatabase, id: string): Promise<PlanRecord | undefined> =>
  db.transaction('rw', db.plans, async () => {
    const record = await db.plans.get(id);
    await db.plans.delete(id);
    return record;
  });

export const restorePlan = async (db: DripLineDatabase, record: PlanRecord): Promise<void> => {
  await db.plans.put({ ...record, revision: record.revision + 1 });
};

/** Every plan's entry, newest change first, from index keys alone: the plans themselves are not read. */
export async function listPlans(db: DripLineDatabase): Promise<readonly PlanEntry[]> {
  const [names, ids, order, moments] = await Promise.all([
    db.plans.orderBy('name').keys(),
    db.plans.orderBy('name').primaryKeys(),
    db.plans.orderBy('changed').reverse().primaryKeys(),
    db.plans.orderBy('changed').reverse().keys(),
  ]);
  const nameOf = new Map(ids.map((id, i) => [id, names[i] as string]));
  return order.map((id, i) => ({ id, name: nameOf.get(id) ?? '', changed: moments[i] as string }));
}

export interface PlanEntry {
  readonly id: string;
  readonly name: string;
  readonly changed: string;
}
