import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { sameOils, toldBy } from '../../../core/clock/kept.ts';
import { learnedOf } from '../../../core/clock/learned.ts';
import { priorCourse } from '../../../core/clock/priorCourse.ts';
import { RECIPE } from '../../../core/clock/scents.ts';
import { takeKnown } from '../../../core/edit/clock.ts';
import { CUP_NAME, cupTest } from '../../../core/edit/cupTest.ts';
import { layPlan } from '../../../core/fill/layPlan.ts';
import type { KnownRate } from '../../../core/batter/schema.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { plural } from '../../../core/units/words.ts';
import { bringPlans } from '../../../store/keeping/newPlans.ts';
import { newPlanId } from '../../../store/page.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { useOtherPlans, useShelfNames } from './useOtherPlans.ts';
import { Button } from '../../kit/Button.tsx';

/** What a cup tells of a plan's rates; nothing while it was not looked at. */
function toldIn(plan: Plan, cup: Plan): ReadonlyMap<string, KnownRate> {
  const laid = layPlan(cup);
  const prior = priorCourse(cup, laid);
  return prior ? toldBy(plan, cup, laid.recipe, learnedOf(cup, laid, prior)) : new Map();
}

/**
 * A cup of a fragrance, or of the recipe alone, as a small batch of its own; and what cups of this recipe
 * told.
 */
export function CupTests() {
  const { plan, edit } = usePlan();
  const navigate = useNavigate();
  const make = async (fragrance: string | undefined): Promise<void> => {
    const cup = cupTest(plan, fragrance, { id: newPlanId(), now: new Date().toISOString() });
    const [brought] = await bringPlans([cup]);
    if (brought) await navigate(`/plan/${brought.id}/clock/teach`);
  };
  const isCup = plan.name.startsWith(CUP_NAME);
  const shelf = useShelfNames().filter((e) => e.name.startsWith(CUP_NAME) && e.id !== plan.id);
  const others = useOtherPlans(isCup ? [] : shelf.map((e) => e.id));
  const cups = useMemo(
    () =>
      [...others.values()].flatMap((other) => {
        if (!('plan' in other) || !sameOils(other.plan, plan)) return [];
        const told = toldIn(plan, other.plan);
        return told.size > 0 ? [{ cup: other.plan, told }] : [];
      }),
    [others, plan],
  );
  if (isCup) return null;
  return (
    <Group title="A cup test">
      <p className="quiet -mt-2 text-sm">
        150 g of this recipe in one cup, looked at three times: cheaper than a loaf that seizes. It is raw
        batter all the same: goggles and gloves.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void make(undefined)}>Plan a cup without fragrance</Button>
        {plan.batter.fragrances.map((f) => (
          <Button key={f.id} onClick={() => void make(f.id)}>
            Plan a cup of “{f.name}”
          </Button>
        ))}
      </div>
      {cups.length > 0 && (
        <ul className="grid gap-2" aria-label="Cups of this recipe">
          {cups.map(({ cup, told }) => (
            <li key={cup.id} className="flex flex-wrap items-center gap-3 text-sm">
              <span>
                “{cup.name}” tells of {told.has(RECIPE) ? 'this recipe' : 'its fragrance'} by{' '}
                {plural(Math.max(...[...told.values()].map((r) => r.readings)), 'reading')}.
              </span>
              <Button onClick={() => edit((p) => takeKnown(p, told))}>Take what it told</Button>
            </li>
          ))}
        </ul>
      )}
    </Group>
  );
}
