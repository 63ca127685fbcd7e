import { setFinish } from '../../../core/edit/finish.ts';
import { FINISHES } from '../../../core/pattern/knowHow.ts';
import { lowerFirst } from '../../../core/units/words.ts';
import type { Finish, Step } from '../../../core/plan/stepSchema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { StepButtons } from './pattern/StepButtons.tsx';
import { ToolHead } from './pattern/ToolHead.tsx';

/** What becomes of the loaf once everything is in. */
export function FinishPanel({ finish }: { readonly finish: Finish }) {
  const { plan, edit } = useBench();
  const taken = plan.steps.flatMap((s) => (s.kind === 'finish' && s !== finish ? [s.what] : []));
  return (
    <section aria-label="The finish" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="finish" does={FINISHES[finish.what]} />
      <div className="sentence">
        Once everything is in:{' '}
        <Picker
          label="Once everything is in"
          value={finish.what}
          options={(Object.keys(FINISHES) as Finish['what'][])
            .filter((what) => !taken.includes(what))
            .map((what) => ({ value: what, label: lowerFirst(FINISHES[what]) }))}
          onPick={(what) => edit((p) => setFinish(p, finish.id, what))}
        />
        .
      </div>
      <StepButtons stepId={finish.id} />
    </section>
  );
}

/** The column that is pulled: there is nothing about it to choose. */
export const PullPanel = ({ pull }: { readonly pull: Extract<Step, { kind: 'pull' }> }) => (
  <section aria-label="The pull" className="grid grid-cols-[minmax(0,1fr)] gap-3">
    <ToolHead tool="pull" does="The column is pulled" />
    <p className="quiet text-sm">
      Its hole is filled with what is held back, pot after pot. Twist it as it comes up, and wipe it.
    </p>
    <StepButtons stepId={pull.id} />
  </section>
);
