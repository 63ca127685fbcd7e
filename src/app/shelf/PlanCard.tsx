import { Copy, Download, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import { planFileName, writePlanFile } from '../../core/exchange/writePlan.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { database } from '../../store/database.ts';
import { addPlans, deletePlan } from '../../store/planRecords.ts';
import { useAppDispatch } from '../../store/store.ts';
import { newPlanId, TAB_ID } from '../../store/tab.ts';
import { toastShown } from '../../store/toastSlice.ts';
import { saveFile } from '../parts/saveFile.ts';
import { LoafThumb } from './LoafThumb.tsx';

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: '2-digit' });

export const PlanCard = memo(function PlanCard({ plan }: { readonly plan: Plan }) {
  const dispatch = useAppDispatch();
  const duplicate = async (): Promise<void> => {
    const now = new Date().toISOString();
    const copy = {
      ...plan,
      id: newPlanId(),
      name: `${plan.name} copy`.slice(0, 120),
      // what was really poured belongs to that loaf, not to the next one
      ombres: plan.ombres.map((o) => ({ ...o, actuals: [] })),
      created: now,
      changed: now,
    };
    await addPlans(database, [copy], newPlanId, TAB_ID);
  };
  const remove = async (): Promise<void> => {
    const restore = await deletePlan(database, plan.id);
    if (restore) dispatch(toastShown({ text: `“${plan.name}” is off the shelf.`, tone: 'plain', restore }));
  };
  const pours = plan.steps.filter((s) => s.kind === 'pour').length;
  return (
    <article className="group grid gap-2" aria-label={plan.name}>
      <Link
        to={`/plan/${plan.id}/design`}
        className="grid h-44 items-end justify-items-center border-b-[5px] border-(--wood-line) transition-colors hover:bg-base-100"
        aria-label={`Open ${plan.name}`}
      >
        <LoafThumb plan={plan} width={206} height={160} />
      </Link>
      <div className="flex items-start justify-between gap-1 px-3">
        <div className="min-w-0">
          <h2 className="truncate text-base">{plan.name}</h2>
          <p className="quiet text-sm whitespace-nowrap">
            {pours} {pours === 1 ? 'pour' : 'pours'}, {DATE.format(new Date(plan.changed))}
          </p>
        </div>
        <div className="flex shrink-0">
          <button
            type="button"
            className="btn btn-ghost btn-sm px-1.5"
            aria-label={`Duplicate ${plan.name}`}
            title="Duplicate"
            onClick={() => void duplicate()}
          >
            <Copy className="size-4" aria-hidden="true" />
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-sm px-1.5"
            aria-label={`Export ${plan.name}`}
            title="Export as a plan file"
            onClick={() => {
              saveFile(planFileName(plan), writePlanFile(plan), 'application/json');
            }}
          >
            <Download className="size-4" aria-hidden="true" />
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-sm px-1.5"
            aria-label={`Delete ${plan.name}`}
            title="Delete"
            onClick={() => void remove()}
          >
            <Trash2 className="size-4" aria-hidden="true" />
          </button>
        </div>
      </div>
    </article>
  );
});
