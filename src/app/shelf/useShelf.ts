import { liveQuery } from 'dexie';
import { startTransition, useEffect, useState } from 'react';
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

/** The plans of these entries, each read once for each state it is in. */
export function usePlans(entries: readonly PlanEntry[]): ReadonlyMap<string, Plan> {
  const [plans, setPlans] = useState<ReadonlyMap<string, Plan>>(new Map());
  const wanted = entries.filter((e) => plans.get(e.id)?.changed !== e.changed).map((e) => e.id);
  const key = wanted.join(' ');
  useEffect(() => {
    if (key === '') return undefined;
    let gone = false;
    void database.plans.bulkGet(key.split(' ')).then((records) => {
      if (gone) return;
      // drawing loaves gives way to scrolling
      startTransition(() => {
        setPlans(
          (held) => new Map([...held, ...records.flatMap((r) => (r ? [[r.id, r.plan] as const] : []))]),
        );
      });
    });
    return () => {
      gone = true;
    };
  }, [key]);
  return plans;
}
