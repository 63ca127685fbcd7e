import { freshId } from '../../../core/edit/freshId.ts';
import { insertAfter, removeStep } from '../../../core/edit/pours.ts';
import { FINISHES } from '../../../core/pattern/knowHow.ts';
import type { Finish } from '../../../core/plan/stepSchema.ts';
import { useBench } from '../../parts/usePlan.ts';
import { Check } from '../../kit/Check.tsx';

/** What happens to the loaf once everything is in. */
export function FinishChoices() {
  const { plan, edit } = useBench();
  return (
    <div className="grid grid-cols-2 gap-1.5">
      {(Object.keys(FINISHES) as Finish['what'][]).map((what) => {
        const step = plan.steps.find((s) => s.kind === 'finish' && s.what === what);
        return (
          <Check
            key={what}
            checked={step !== undefined}
            onCheck={() =>
              edit((p) =>
                step
                  ? removeStep(p, step.id)
                  : insertAfter(p, p.steps.at(-1)?.id, { id: freshId('f', p.steps), kind: 'finish', what }),
              )
            }
          >
            {FINISHES[what]}
          </Check>
        );
      })}
    </div>
  );
}
