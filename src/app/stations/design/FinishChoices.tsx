import { freshId } from '../../../core/edit/freshId.ts';
import { insertAfter, removeStep } from '../../../core/edit/pours.ts';
import type { Finish } from '../../../core/plan/stepSchema.ts';
import { useBench } from '../../parts/usePlan.ts';
import { Check } from '../../kit/Check.tsx';

const FINISHES: readonly { readonly what: Finish['what']; readonly label: string }[] = [
  { what: 'mist', label: 'Alcohol mist' },
  { what: 'insulate', label: 'Insulate' },
  { what: 'heating-pad', label: 'Heating pad' },
  { what: 'warm-oven', label: 'Warm oven, off' },
  { what: 'oven-held', label: 'Oven held, 2 h' },
  { what: 'leave-cool', label: 'Leave cool' },
];

/** What happens to the loaf once everything is in. */
export function FinishChoices() {
  const { plan, edit } = useBench();
  return (
    <div className="grid grid-cols-2 gap-1.5">
      {FINISHES.map(({ what, label }) => {
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
            {label}
          </Check>
        );
      })}
    </div>
  );
}
