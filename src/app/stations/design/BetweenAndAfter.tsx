import { X } from 'lucide-react';
import { freshId } from '../../../core/edit/freshId.ts';
import { insertAfter, removeStep } from '../../../core/edit/pours.ts';
import { stagePhrase } from '../../../core/setting/stage.ts';
import type { Wait } from '../../../core/plan/stepSchema.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Group } from '../../parts/Station.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { FinishChoices } from './FinishChoices.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { Button } from '../../kit/Button.tsx';
import { IconButton } from '../../kit/IconButton.tsx';

/** Waits between pours, and what happens once the last one is in. */
export function BetweenAndAfter() {
  const { plan, edit } = useBench();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const waits = plan.steps.flatMap((s, i) =>
    s.kind === 'wait' ? [{ step: s, before: plan.steps.slice(0, i).findLast((b) => b.kind === 'pour') }] : [],
  );
  const pours = plan.steps.filter((s) => s.kind === 'pour');
  const nth = (id: string | undefined): string => {
    const n = pours.findIndex((s) => s.id === id) + 1;
    return n > 0 ? `After pour ${n}` : 'Wait';
  };
  const setUntil = (id: string, until: Wait['until'], gesture: Gesture) =>
    edit(
      (p) => ({ ...p, steps: p.steps.map((s) => (s.id === id && s.kind === 'wait' ? { ...s, until } : s)) }),
      gesture,
    );
  const addWait = (): void => {
    edit((p) =>
      insertAfter(p, chosen ?? pours.at(-2)?.id ?? pours.at(-1)?.id, {
        id: freshId('w', p.steps),
        kind: 'wait',
        until: { kind: 'minutes', minutes: 5 },
      }),
    );
  };
  return (
    <>
      <Group
        title="Waits"
        aside={
          <Button size="tiny" onClick={addWait} disabled={pours.length === 0}>
            Add a wait {chosen === null ? '' : 'after this pour'}
          </Button>
        }
      >
        {waits.length === 0 && <p className="quiet text-sm">None: each pour follows the one before.</p>}
        {waits.map(({ step, before }) => (
          <div key={step.id} className="flex items-center gap-2">
            <span className="flex-1">{nth(before?.id)}</span>
            {step.until.kind === 'minutes' ? (
              <FigureField
                label="Wait"
                hideLabel
                className="w-24"
                suffix="min"
                value={step.until.minutes}
                onValue={(minutes, g) => setUntil(step.id, { kind: 'minutes', minutes }, g)}
              />
            ) : (
              <FigureField
                label="Wait until stage"
                hideLabel
                className="w-32"
                suffix="of 5"
                hint={stagePhrase(step.until.stage)}
                value={step.until.stage}
                onValue={(stage, g) => setUntil(step.id, { kind: 'stage', stage }, g)}
              />
            )}
            <IconButton
              icon={X}
              label="Remove this wait"
              onClick={() => edit((p) => removeStep(p, step.id))}
            />
          </div>
        ))}
      </Group>
      <Group title="Finish">
        <FinishChoices />
      </Group>
    </>
  );
}
