import { lazy, Suspense, useDeferredValue } from 'react';
import { Loading } from '../../parts/Loading.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { FurtherBatches } from './FurtherBatches.tsx';
import { Holds } from './Holds.tsx';
import { LanesView } from './LanesView.tsx';
import { Needs } from './Needs.tsx';
import { Windows } from './Windows.tsx';

const Matters = lazy(async () => ({ default: (await import('./Matters.tsx')).Matters }));

/**
 * When to pour what: will it hold, every pot through time, the windows of each pour, and what matters most.
 */
export function TimetablePage() {
  const { clock } = usePlan('clock').computed;
  // while a pour is dragged the lanes come first
  const settled = useDeferredValue(clock);
  if (!clock || !settled)
    return (
      <p className="quiet text-sm">There is no recipe yet: how fast its batter thickens is not known.</p>
    );
  return (
    <>
      <Holds />
      <LanesView clock={clock} />
      <Needs clock={settled} />
      <Windows clock={settled} />
      <FurtherBatches clock={settled} />
      <Suspense fallback={<Loading />}>
        <Matters />
      </Suspense>
    </>
  );
}
