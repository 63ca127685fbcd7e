import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import { database } from '../../store/database.ts';
import { firstStart } from '../../store/firstStart.ts';
import { listPlans, type PlanEntry } from '../../store/planRecords.ts';

/** The shelf's entries, newest first, kept up to date; undefined while they are read for the first time. */
export function useShelf(): readonly PlanEntry[] | undefined {
  const [entries, setEntries] = useState<readonly PlanEntry[]>();
  useEffect(() => {
    let stop: (() => void) | undefined;
    let gone = false;
    void firstStart()
      .catch(() => undefined)
      .then(() => {
        if (gone) return;
        const subscription = liveQuery(() => listPlans(database)).subscribe(setEntries);
        stop = () => {
          subscription.unsubscribe();
        };
      });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
  return entries;
}

/** The plans of these ids, read when they are wanted and kept up to date. */
export function usePlans(ids: readonly string[]): ReadonlyMap<string, Plan> {
  const [plans, setPlans] = useState<ReadonlyMap<string, Plan>>(new Map());
  const key = ids.join(' ');
  useEffect(() => {
    const wanted = key === '' ? [] : key.split(' ');
    const subscription = liveQuery(() => database.plans.bulkGet(wanted)).subscribe((records) => {
      setPlans(new Map(records.flatMap((r) => (r ? [[r.id, r.plan] as const] : []))));
    });
    return () => {
      subscription.unsubscribe();
    };
  }, [key]);
  return plans;
}
