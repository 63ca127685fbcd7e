import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { noticeRead } from '../../store/deskSlice.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { upToDate } from '../../store/tables/upToDate.ts';
import { keeper } from '../../store/keeping/keep.ts';
import { bringPlans } from '../../store/keeping/newPlans.ts';
import { takeTheirs } from '../../store/openPlan.ts';
import { newPlanId } from '../../store/page.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { usePresent } from '../parts/usePlan.ts';
import { Compare } from './Compare.tsx';
import { Button } from '../kit/Button.tsx';
import { WordButton } from '../kit/WordButton.tsx';

/**
 * A plan was changed in two places, or deleted in the other: nothing is written over until the maker says
 * which to keep.
 */
export function ConflictBanner() {
  const plan = usePresent();
  const notice = useAppSelector((s) => s.desk.notice);
  const work = useAppSelector((s) => s.keeping.works[plan.id]);
  const dispatch = useAppDispatch();
  if (work?.save === 'conflict') return <Decide theirs={work.theirs} />;
  if (notice === null) return null;
  return (
    <p
      className="no-print rule flex items-center gap-3 border-b bg-base-100 px-5 py-1.5 text-sm"
      role="status"
    >
      {notice}
      <WordButton onClick={() => dispatch(noticeRead())}>Good</WordButton>
    </p>
  );
}

function Decide({ theirs }: { readonly theirs: Parameters<typeof takeTheirs>[0] | null }) {
  const plan = usePresent();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const asked = (useLocation().state as { decide?: boolean } | null)?.decide === true;
  const [looking, setLooking] = useState(asked && theirs !== null);
  const copy = async (): Promise<void> => {
    const [mine] = await bringPlans([
      { ...plan, id: newPlanId(), name: `${plan.name} (my copy)`.slice(0, 120) },
    ]);
    if (theirs) await dispatch(takeTheirs(theirs));
    else await keeper.giveUp(plan.id);
    if (mine) await navigate(`/plan/${mine.id}/design`);
  };
  const ways = (
    <>
      <Button tone="primary" onClick={() => void copy()}>
        Keep mine as a copy
      </Button>
      {theirs && <Button onClick={() => void dispatch(takeTheirs(theirs))}>Take the other tab’s</Button>}
      <Button onClick={() => void keeper.overrule(plan.id)}>
        {theirs ? 'Put mine over it' : 'Store it again'}
      </Button>
    </>
  );
  return (
    <div
      role="alert"
      className="no-print flex flex-wrap items-center gap-3 border-b-2 border-warning bg-base-100 px-5 py-2"
    >
      <span>
        {theirs
          ? 'This plan was also changed in another tab. Both are kept until you say which one stays.'
          : 'This plan was deleted in another tab. What you have here is kept, but not on the shelf.'}
      </span>
      {theirs && <Button onClick={() => setLooking(true)}>Look at both</Button>}
      {ways}
      {!theirs && (
        <Button onClick={() => void keeper.giveUp(plan.id).then(() => navigate('/'))}>Let it go</Button>
      )}
      {looking && theirs && (
        <Compare
          mine={plan}
          theirs={upToDate(theirs.plan, theirs.version) as Plan}
          onClose={() => setLooking(false)}
        >
          {ways}
        </Compare>
      )}
    </div>
  );
}
