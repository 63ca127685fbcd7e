import { startTransition, useEffect, useMemo, useState } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import { browserStorage } from '../../store/browserStorage.ts';
import { ask, type Query } from '../../store/ask.ts';
import { firstStart } from '../../store/firstStart.ts';
import { hasOldDrafts } from '../../store/keeping/oldDrafts.ts';
import { countDrafts } from '../../store/tables/drafts.ts';
import { listPlans, planRecords, type PlanEntry } from '../../store/tables/plans.ts';
import { upToDate } from '../../store/tables/upToDate.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { toastShown } from '../../store/toastSlice.ts';
import { useLive } from '../parts/useLive.ts';

let begun = false;

/**
 * What is done once, when the shelf is first read in this page: the studio of a first start, and what was
 * left unstored.
 */
async function begin(say: (text: string) => void): Promise<void> {
  const refused = await firstStart();
  if (refused.length > 0) say(`Plans of the studio were refused. ${refused.join('; ')}`);
  if ((await ask(countDrafts)) === 0 && !hasOldDrafts(browserStorage())) return;
  const { recoverDrafts } = await import('../../store/keeping/recover.ts');
  const names = await recoverDrafts();
  if (names.length > 0)
    say(`Brought back what had not been stored: ${names.map((n) => `“${n}”`).join(', ')}.`);
}

/**
 * The shelf's entries, newest first, kept up to date; undefined while they are read for the first time.
 * Unreadable: storage refuses, and nothing was begun in this page either.
 */
export function useShelf(): readonly PlanEntry[] | 'unreadable' | undefined {
  const dispatch = useAppDispatch();
  const works = useAppSelector((s) => s.keeping.works);
  const [query] = useState((): Query<readonly PlanEntry[]> => async (db) => {
    if (!begun) {
      begun = true;
      await begin((text) => dispatch(toastShown({ text, tone: 'plain' }))).catch((error: unknown) => {
        begun = false;
        throw error;
      });
    }
    return listPlans(db);
  });
  const stored = useLive(query);
  const trouble = useAppSelector((s) => s.keeping.trouble);
  return useMemo(() => {
    const left = Object.values(works).flatMap(({ left }) => (left ? [left] : []));
    if (!stored && left.length === 0) return trouble === null ? undefined : 'unreadable';
    const known = new Set(stored?.map((e) => e.id));
    const more = left.filter((p) => !known.has(p.id));
    return [...more.map(({ id, name, changed }) => ({ id, name, changed })), ...(stored ?? [])];
  }, [stored, works, trouble]);
}

/** A plan of the shelf: what there is to draw, or that its record is damaged. */
export type Shown = Plan | 'damaged';

const looksLikePlan = (value: unknown): value is Plan =>
  typeof value === 'object' &&
  value !== null &&
  'steps' in value &&
  'changed' in value &&
  Number.isFinite(Date.parse(String(value.changed)));

/**
 * The plans of these entries, each read once for each state it is in. Work of this page comes before what is
 * stored.
 */
export function usePlans(entries: readonly PlanEntry[]): ReadonlyMap<string, Shown> {
  const works = useAppSelector((s) => s.keeping.works);
  const [plans, setPlans] = useState<ReadonlyMap<string, { readonly of: string; readonly shown: Shown }>>(
    new Map(),
  );
  const wanted = entries.filter((e) => plans.get(e.id)?.of !== e.changed).map((e) => e.id);
  const key = wanted.join(' ');
  useEffect(() => {
    if (key === '') return undefined;
    let gone = false;
    const ids = key.split(' ');
    void ask((db) => planRecords(db, ids))
      .catch(() => [])
      .then((records) => {
        if (gone) return;
        // drawing loaves gives way to scrolling
        startTransition(() => {
          setPlans(
            (held) =>
              new Map([
                ...held,
                ...records.flatMap((r) => {
                  if (!r) return [];
                  const plan = upToDate(r.plan, r.version);
                  const shown = looksLikePlan(plan) ? plan : 'damaged';
                  return [[r.id, { of: typeof r.changed === 'string' ? r.changed : '', shown }] as const];
                }),
              ]),
          );
        });
      });
    return () => {
      gone = true;
    };
  }, [key]);
  return useMemo(
    () =>
      new Map<string, Shown>([
        ...[...plans].map(([id, { shown }]) => [id, shown] as const),
        ...Object.entries(works).flatMap(([id, { left }]) => (left ? [[id, left] as const] : [])),
      ]),
    [plans, works],
  );
}
