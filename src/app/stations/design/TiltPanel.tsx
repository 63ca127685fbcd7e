import { endLevel, setWhileFluid } from '../../../core/edit/tilt.ts';
import { beforeSettling } from '../../../core/fill/layers.ts';
import { isLevel } from '../../../core/mould/tilt.ts';
import type { Step } from '../../../core/plan/stepSchema.ts';
import { Check } from '../../kit/Check.tsx';
import { Button } from '../../kit/Button.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { StepButtons } from './pattern/StepButtons.tsx';
import { ToolHead } from './pattern/ToolHead.tsx';
import { TiltFields } from './TiltFields.tsx';

/** How the mould stands from here on: for the pour that comes next, and up to the next tilt. */
export function TiltPanel({ tilt }: { readonly tilt: Extract<Step, { kind: 'tilt' }> }) {
  const { plan, computed, edit } = useBench('stack');
  const after = plan.steps.slice(plan.steps.indexOf(tilt) + 1).find((s) => s.kind === 'pour');
  const isLast = plan.steps.findLast((s) => s.kind === 'tilt') === tilt;
  const layer = computed.stack.layers.find((l) => l.pour.id === after?.id);
  return (
    <section aria-label="The tilt" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="tilt" does={layer ? `From pour ${layer.nth + 1} on` : 'Once everything is in'} />
      {layer && <TiltFields layer={beforeSettling(layer)} />}
      {isLevel(tilt) && (
        <Check
          checked={tilt.fluid === true}
          onCheck={(fluid) => edit((p) => setWhileFluid(p, tilt.id, fluid))}
        >
          Set level while what lies there is fluid: it runs level
        </Check>
      )}
      {isLast && !isLevel(tilt) && (
        <Button className="justify-self-start" onClick={() => edit(endLevel)}>
          Finish level
        </Button>
      )}
      <StepButtons stepId={tilt.id} />
    </section>
  );
}
