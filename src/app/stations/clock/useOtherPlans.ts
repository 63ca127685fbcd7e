import { useEffect, useState } from 'react';
import { planTimetable, type Timetable } from '../../../core/clock/timetable.ts';
import { layPlan } from '../../../core/fill/layPlan.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { ask } from '../../../store/ask.ts';
import { listPlans, planRecord, type PlanEntry } from '../../../store/tables/plans.ts';
import { readStored } from '../../../store/tables/storedPlan.ts';
import { useLive } from '../../parts/useLive.ts';

/** Another plan of the shelf, and when what of it is done; or why that cannot be said. */
export type OtherPlan = { readonly plan: Plan; readonly clock: Timetable } | { readonly trouble: string };

/** The plans on the shelf, by name. */
export function useShelfNames(): readonly PlanEntry[] {
  const entries = useLive(listPlans);
  return (entries ?? []).filter((e) => !e.unlisted).toSorted((a, b) => a.name.localeCompare(b.name));
}

async function read(id: string): Promise<OtherPlan> {
  const record = await ask((db) => planRecord(db, id));
  if (!record) return { trouble: 'is not on the shelf any more' };
  const stored = readStored(record.plan, record.version);
  if (!stored.ok) return { trouble: `is damaged: ${stored.faults[0].message}` };
  const clock = planTimetable(stored.plan, layPlan(stored.plan));
  return clock ? { plan: stored.plan, clock } : { trouble: 'has no recipe yet, and no times' };
}

/** These plans as they are stored, timed. What is not read yet is not among them. */
export function useOtherPlans(ids: readonly string[]): ReadonlyMap<string, OtherPlan> {
  const [known, setKnown] = useState<ReadonlyMap<string, OtherPlan>>(new Map());
  const key = [...new Set(ids)].join(' ');
  useEffect(() => {
    if (key === '') return undefined;
    let gone = false;
    void Promise.all(
      key
        .split(' ')
        .map(async (id) => [id, await read(id).catch(() => ({ trouble: 'cannot be read' }))] as const),
    ).then((all) => {
      if (!gone) setKnown(new Map(all));
    });
    return () => {
      gone = true;
    };
  }, [key]);
  return known;
}
