import { lazy, Suspense } from 'react';
import { Loading } from '../../parts/Loading.tsx';
import { usePlan, useTimes } from '../../parts/usePlan.ts';
import { Demands } from './Demands.tsx';
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
  const moving = useTimes().clock;
  if (!clock || !moving)
    return (
      <p className="quiet text-sm">There is no recipe yet: how fast its batter thickens is not known.</p>
    );
  return (
    <>
      <Holds />
      <Demands />
      <LanesView clock={moving} />
      <Needs clock={clock} />
      <Windows clock={clock} />
      <FurtherBatches clock={clock} />
      <Suspense fallback={<Loading />}>
        <Matters />
      </Suspense>
    </>
  );
}
