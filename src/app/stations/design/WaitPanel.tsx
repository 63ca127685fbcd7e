import { setUntil } from '../../../core/edit/waits.ts';
import type { Wait } from '../../../core/plan/stepSchema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { StagePicker } from '../../parts/StagePicker.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { StepButtons } from './pattern/StepButtons.tsx';
import { ToolHead } from './pattern/ToolHead.tsx';

const MEDIUM = 2;
const MINUTES = 5;

/** A wait on the line: some minutes, or until what was poured last is so thick. */
export function WaitPanel({ wait }: { readonly wait: Wait }) {
  const { edit } = useBench();
  const { until } = wait;
  const set = (next: Wait['until'], gesture?: Parameters<typeof edit>[1]) =>
    edit((p) => setUntil(p, wait.id, next), gesture);
  return (
    <section aria-label="The wait" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="wait" does="Before what comes next" />
      <div className="sentence">
        Wait{' '}
        <Picker
          label="It is"
          value={until.kind}
          options={[
            { value: 'minutes', label: 'so many minutes' },
            { value: 'stage', label: 'until what was poured last is' },
          ]}
          onPick={(kind) => set(kind === 'minutes' ? { kind, minutes: MINUTES } : { kind, stage: MEDIUM })}
        />
        {until.kind === 'minutes' ? (
          <>
            {': '}
            <FigureField
              label="Wait"
              suffix="min"
              value={until.minutes}
              onValue={(minutes, g) => set({ kind: 'minutes', minutes }, g)}
            />
          </>
        ) : (
          <>
            {' '}
            <StagePicker
              label="Until what was poured last is"
              least={0.5}
              value={until.stage}
              onPick={(stage) => set({ kind: 'stage', stage })}
            />
          </>
        )}
        .
      </div>
      <StepButtons stepId={wait.id} />
    </section>
  );
}
