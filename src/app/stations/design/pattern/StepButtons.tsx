import { Trash2 } from 'lucide-react';
import { shifted } from '../../../../core/edit/onLine/standing.ts';
import { removeStep } from '../../../../core/edit/pours.ts';
import type { StepId } from '../../../../core/validate/ids.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { useBench } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

/** Put a step earlier or later among the others, where it can stand there, or take it out. */
export function StepButtons({ stepId }: { readonly stepId: StepId }) {
  const { plan, edit } = useBench();
  const dispatch = useAppDispatch();
  return (
    <div className="flex flex-wrap gap-1.5">
      {([-1, 1] as const).map((by) => {
        const to = shifted(plan, stepId, by);
        return (
          <Button
            key={by}
            disabled={'why' in to}
            title={'why' in to ? to.why : undefined}
            onClick={() =>
              edit((p) => {
                const went = shifted(p, stepId, by);
                return 'plan' in went ? went.plan : p;
              })
            }
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
