import { lazy, Suspense, useMemo } from 'react';
import { foretoldOf } from '../../../core/clock/foretold.ts';
import { learnedOf } from '../../../core/clock/learned.ts';
import { priorCourse } from '../../../core/clock/priorCourse.ts';
import { Loading } from '../../parts/Loading.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { CupTests } from './CupTests.tsx';
import { Readings } from './Readings.tsx';
import { WhatWasLearned } from './WhatWasLearned.tsx';

const BeforeAndAfter = lazy(async () => ({
  default: (await import('./BeforeAndAfter.tsx')).BeforeAndAfter,
}));

/** How thick pots really were, and what that teaches of the recipe and its fragrances. */
export function TeachPage() {
  const { plan, computed } = usePlan('moulds', 'recipes');
  const known = useMemo(() => {
    const prior = priorCourse(plan, computed);
    if (!prior) return undefined;
    const learned = learnedOf(plan, computed, prior);
    return { learned, pots: foretoldOf(plan, computed, prior, learned) };
  }, [plan, computed]);
  if (!known)
    return (
      <p className="quiet text-sm">There is no recipe yet: how fast its batter thickens is not known.</p>
    );
  return (
    <>
      <Readings />
      {known.pots.length > 0 && (
        <Suspense fallback={<Loading />}>
          <BeforeAndAfter pots={known.pots} />
        </Suspense>
      )}
      <WhatWasLearned learned={known.learned} />
      <CupTests />
    </>
  );
}
