import { Trash2 } from 'lucide-react';
import { moveStep, removeStep } from '../../../../core/edit/pours.ts';
import type { StepId } from '../../../../core/validate/ids.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { useBench } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

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
          <Button
            key={by}
            disabled={!other || other.kind === 'finish'}
            onClick={() => {
              if (other) edit((p) => moveStep(p, stepId, other.id));
            }}
          >
            {by < 0 ? 'Earlier' : 'Later'}
          </Button>
        );
      })}
      <Button
        icon={Trash2}
        onClick={() => {
          edit((p) => removeStep(p, stepId));
          dispatch(pourChosen(null));
        }}
      >
        Remove
      </Button>
    </div>
  );
}
