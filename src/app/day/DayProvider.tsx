import { useMemo, type ReactNode } from 'react';
import { stateOf } from '../../core/batch/state.ts';
import { heldNow } from '../../core/making/held.ts';
import { toCarryOut, toMakeReady } from '../../core/making/order.ts';
import { isDone, screensOf } from '../../core/making/screens.ts';
import { tellingAll } from '../../core/procedure/procedureOf.ts';
import { useAppSelector } from '../../store/store.ts';
import { Loading } from '../parts/Loading.tsx';
import { useComputed } from '../parts/usePlan.ts';
import { useTask } from '../parts/useTask.ts';
import { DayContext } from './dayContext.ts';
import { useRuns } from './useRuns.ts';

/** The batch in whose room one is, folded anew whenever something is written of it. */
export function DayProvider({ children }: { readonly children: ReactNode }) {
  const batch = useAppSelector((s) => s.batch.batch);
  const computed = useComputed();
  const told = useTask(computed, tellingAll);
  const { running, takeOver } = useRuns(batch?.id ?? '');
  const state = useMemo(() => batch && stateOf(batch), [batch]);
  const of = useMemo(() => {
    const acts = toCarryOut(told ?? []);
    return { told: told ?? [], ready: toMakeReady(told ?? []), acts, screens: screensOf(acts) };
  }, [told]);
  const day = useMemo(() => {
    if (!batch || !state) return undefined;
    const { told: all, ...rest } = of;
    return {
      ...rest,
      batch,
      state,
      computed,
      next: of.screens.find((s) => !isDone(s, state)),
      held: heldNow(computed, all, state),
      runs: running === 'runs',
      watches: running === 'watches',
      takeOver,
    };
  }, [batch, state, of, computed, running, takeOver]);
  if (!day || !told) return <Loading />;
  return <DayContext value={day}>{children}</DayContext>;
}
