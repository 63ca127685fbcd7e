import { useState } from 'react';
import { isLevel } from '../../../../core/mould/tilt.ts';
import { usePlan } from '../../../parts/usePlan.ts';
import { OmbreEditor } from './OmbreEditor.tsx';
import { StartOmbre } from './StartOmbre.tsx';
import { Button } from '../../../kit/Button.tsx';

/** The ombres of the plan: one at a time, and a way to begin another. */
export function OmbrePage() {
  const { plan, edit } = usePlan();
  const [chosen, setChosen] = useState<string | null>(null);
  const ombre = plan.ombres.find((o) => o.id === chosen) ?? plan.ombres[0];
  return (
    <>
      {plan.ombres.length > 1 && (
        <div className="flex gap-2" role="group" aria-label="Ombres of this plan">
          {plan.ombres.map((o) => (
            <Button
              key={o.id}
              tone={o === ombre ? 'primary' : 'plain'}
              aria-pressed={o === ombre}
              onClick={() => setChosen(o.id)}
            >
              {o.name}
            </Button>
          ))}
        </div>
      )}
      {ombre && <OmbreEditor key={ombre.id} ombre={ombre} />}
      <StartOmbre
        first={plan.ombres.length === 0}
        free={plan.steps.some((s) => s.kind === 'pour' && !s.ombre)}
        sloping={plan.steps.some((s) => s.kind === 'tilt' && !isLevel(s))}
        edit={edit}
        onStarted={setChosen}
      />
    </>
  );
}
