import { lazy, Suspense, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { foretoldOf } from '../../../core/clock/foretold.ts';
import { learnedOf } from '../../../core/clock/learned.ts';
import { priorCourse } from '../../../core/clock/priorCourse.ts';
import { cupTest } from '../../../core/edit/cupTest.ts';
import { bringPlans } from '../../../store/keeping/newPlans.ts';
import { newPlanId } from '../../../store/page.ts';
import { Loading } from '../../parts/Loading.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
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

/** A cup of a fragrance, as a small batch of its own. */
function CupTests() {
  const { plan } = usePlan();
  const navigate = useNavigate();
  const { fragrances } = plan.batter;
  if (fragrances.length === 0) return null;
  const make = async (id: string): Promise<void> => {
    const cup = cupTest(plan, id, { id: newPlanId(), now: new Date().toISOString() });
    const [brought] = await bringPlans([cup]);
    if (brought) await navigate(`/plan/${brought.id}/clock/teach`);
  };
  return (
    <Group title="A cup test">
      <p className="quiet -mt-2 text-sm">
        150 g of this recipe with one fragrance, in one cup, looked at three times: cheaper than a loaf that
        seizes. It is raw batter all the same: goggles and gloves.
      </p>
      <div className="flex flex-wrap gap-2">
        {fragrances.map((f) => (
          <button key={f.id} type="button" className="btn btn-sm" onClick={() => void make(f.id)}>
            Plan a cup of “{f.name}”
          </button>
        ))}
      </div>
    </Group>
  );
}
