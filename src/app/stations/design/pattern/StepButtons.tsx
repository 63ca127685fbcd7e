import { Trash2 } from 'lucide-react';
import { moveStep, removeStep } from '../../../../core/edit/pours.ts';
import type { StepId } from '../../../../core/validate/ids.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { useBench } from '../../../parts/usePlan.ts';

/** Put a step earlier or later among the others, or take it out. */
export function StepButtons({ stepId }: { readonly stepId: StepId }) {
  const { plan, edit } = useBench();
  const dispatch = useAppDispatch();
  const at = plan.steps.findIndex((s) => s.id === stepId);
  return (
    <div className="flex flex-wrap gap-1.5">
      {([-1, 1] as const).map((by) => {
        const other = plan.steps[at + by];
        return (
          <button
            key={by}
            type="button"
            className="btn btn-sm"
            disabled={!other || other.kind === 'finish'}
            onClick={() => {
              if (other) edit((p) => moveStep(p, stepId, other.id));
            }}
          >
            {by < 0 ? 'Earlier' : 'Later'}
          </button>
        );
      })}
      <button
        type="button"
        className="btn btn-sm"
        onClick={() => {
          edit((p) => removeStep(p, stepId));
          dispatch(pourChosen(null));
        }}
      >
        <Trash2 className="size-4" aria-hidden="true" /> Remove
      </button>
    </div>
  );
}
