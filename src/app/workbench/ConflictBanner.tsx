import { useNavigate } from 'react-router';
import { database } from '../../store/database.ts';
import { conflictOverruled, noticeRead } from '../../store/deskSlice.ts';
import { takeTheirs } from '../../store/openPlan.ts';
import { addPlans } from '../../store/planRecords.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { newPlanId, TAB_ID } from '../../store/tab.ts';
import { usePlan } from '../parts/usePlan.ts';

/** Two tabs changed one plan: nothing is written until the maker says which to keep. */
export function ConflictBanner() {
  const { plan } = usePlan();
  const desk = useAppSelector((s) => s.desk);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  if (desk.save !== 'conflict')
    return desk.notice === null ? null : (
      <p
        className="no-print rule flex items-center gap-3 border-b bg-base-100 px-5 py-1.5 text-sm"
        role="status"
      >
        {desk.notice}
        <button type="button" className="underline" onClick={() => dispatch(noticeRead())}>
          Good
        </button>
      </p>
    );
  const { theirs } = desk;
  const copy = async (): Promise<void> => {
    const mine = { ...plan, id: newPlanId(), name: `${plan.name} (my copy)`.slice(0, 120) };
    await addPlans(database, [mine], newPlanId, TAB_ID);
    if (theirs) dispatch(takeTheirs(theirs));
    await navigate(`/plan/${mine.id}/design`);
  };
  return (
    <div
      role="alert"
      className="no-print flex flex-wrap items-center gap-3 border-b-2 border-warning bg-base-100 px-5 py-2"
    >
      <span>
        {theirs
          ? 'This plan was also changed in another tab. Nothing is lost yet: which one stays?'
          : 'This plan was deleted in another tab. What you have here is not stored.'}
      </span>
      <button type="button" className="btn btn-primary btn-sm" onClick={() => void copy()}>
        Keep mine as a copy
      </button>
      {theirs && (
        <button type="button" className="btn btn-sm" onClick={() => dispatch(takeTheirs(theirs))}>
          Take the other tab’s
        </button>
      )}
      <button type="button" className="btn btn-sm" onClick={() => dispatch(conflictOverruled())}>
        {theirs ? 'Put mine over it' : 'Store it again'}
      </button>
    </div>
  );
}
