import { Copy, Download, Trash2 } from 'lucide-react';
import { lazy, memo, Suspense } from 'react';
import { Link } from 'react-router';
import type { Plan } from '../../core/plan/planSchema.ts';
import { useAppSelector } from '../../store/store.ts';
import { CardLines } from './CardLines.tsx';
import { PlanThumb } from './PlanThumb.tsx';
import { IconButton } from '../kit/IconButton.tsx';

/** Not needed to show the shelf. */
const Hanging = lazy(async () => ({ default: (await import('./Hanging.tsx')).Hanging }));
const acts = () => import('./cardActs.ts');

export const PlanCard = memo(function PlanCard({ plan }: { readonly plan: Plan }) {
  const save = useAppSelector((s) => s.keeping.works[plan.id]?.save);
  return (
    <article className="group relative grid grid-cols-[minmax(0,1fr)] gap-2" aria-label={plan.name}>
      <Link
        to={`/plan/${plan.id}/design`}
        className="grid h-44 items-end justify-items-center border-b-[5px] border-(--wood-line) transition-colors group-hover:bg-base-100 after:absolute after:inset-0"
        aria-label={`Open ${plan.name}`}
      >
        <PlanThumb plan={plan} remember={`${plan.id} ${plan.changed}`} width={206} height={160} />
      </Link>
      <div className="flex items-center justify-between gap-1 px-3">
        <h2 className="line-clamp-2 min-w-0 text-base leading-tight" title={plan.name}>
          {plan.name}
        </h2>
        {/* the whole card opens its plan, but for what is pressed on it */}
        <div className="relative flex shrink-0">
          <IconButton
            icon={Copy}
            label={`Duplicate ${plan.name}`}
            title="Duplicate"
            onClick={() => void acts().then(({ duplicate }) => duplicate(plan))}
          />
          <IconButton
            icon={Download}
            label={`Export ${plan.name}`}
            title="Export as a plan file"
            onClick={() => void acts().then(({ exportFile }) => exportFile(plan))}
          />
          <IconButton
            icon={Trash2}
            label={`Delete ${plan.name}`}
            title="Delete"
            onClick={() => void acts().then(({ removePlan }) => removePlan(plan))}
          />
        </div>
      </div>
      <div className="-mt-2 px-3">
        {save === 'failed' ? (
          <p className="text-sm font-bold whitespace-nowrap text-error">not stored</p>
        ) : (
          <CardLines plan={plan} />
        )}
        <Suspense fallback={null}>
          <Hanging planId={plan.id} />
        </Suspense>
      </div>
    </article>
  );
});
