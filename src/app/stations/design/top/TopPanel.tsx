import { TOPS } from '../../../../core/pattern/knowHow.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import { More } from '../More.tsx';
import { StepButtons } from '../pattern/StepButtons.tsx';
import { ToolHead } from '../pattern/ToolHead.tsx';
import { EveryBarFields } from './EveryBarFields.tsx';
import { MoundFields } from './MoundFields.tsx';
import { OnTopFacts } from './OnTopFacts.tsx';
import { PipingRows } from './PipingRows.tsx';
import { SaltField } from './SaltField.tsx';

function Fields({ step }: { readonly step: Top }) {
  const { way } = step;
  switch (way.top) {
    case 'mound':
      return <MoundFields step={step} way={way} />;
    case 'piping':
      return <PipingRows step={step} way={way} />;
    case 'salt':
      return <SaltField step={step} way={way} />;
    default:
      return <EveryBarFields step={step} way={way} />;
  }
}

/** Something on top: what it is like, what it comes to, what it needs and how it usually fails. */
export function TopPanel({ step }: { readonly step: Top }) {
  const know = TOPS[step.way.top];
  return (
    <section aria-label="On top" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="top" does={know.name} />
      <Fields step={step} />
      <OnTopFacts step={step} />
      <More know={know}>
        <StepButtons stepId={step.id} />
      </More>
    </section>
  );
}
