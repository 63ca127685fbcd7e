import type { Beginning } from '../../core/edit/beginnings.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { Boundary } from '../parts/Boundary.tsx';
import { PlanThumb } from '../shelf/PlanThumb.tsx';

interface BeginningCardProps {
  readonly beginning: Pick<Beginning, 'name' | 'says'>;
  readonly plan: Plan;
  readonly onBegin: () => void;
}

/** A beginning as the product itself draws it. */
export function BeginningCard({ beginning, plan, onBegin }: BeginningCardProps) {
  return (
    <button
      type="button"
      className="grid w-full cursor-pointer gap-2 text-left hover:bg-base-100"
      aria-label={beginning.name}
      onClick={onBegin}
    >
      <span className="grid h-40 items-end justify-items-center border-b-[5px] border-(--wood-line)">
        <Boundary what="This loaf" of={[plan]}>
          <PlanThumb plan={plan} width={206} height={150} />
        </Boundary>
      </span>
      <span className="grid px-3 pb-2">
        <span className="font-heading text-base font-bold">{beginning.name}</span>
        <span className="quiet text-sm">{beginning.says}</span>
      </span>
    </button>
  );
}
