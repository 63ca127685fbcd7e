import { X } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { readingsSeen, takeReading, type ReadingSeen } from '../../../core/clock/readings.ts';
import { removeReading } from '../../../core/edit/clock.ts';
import { STAGES, stagePhrase } from '../../../core/setting/stage.ts';
import { formatClock, formatShort } from '../../../core/units/format.ts';
import { upperFirst } from '../../../core/units/words.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { useTypedState } from '../../parts/useTypedState.ts';
import { parseClock } from './parseClock.ts';
import { TakenAt } from './TakenAt.tsx';
import { Button } from '../../kit/Button.tsx';
import { IconButton } from '../../kit/IconButton.tsx';

/** Halves between the words are told too. */
const STAGE_OPTIONS = Array.from({ length: 11 }, (_, i) => ({
  value: String(i / 2),
  label: `${upperFirst(stagePhrase(i / 2))} (${formatShort(i / 2, 1)})`,
}));

const LOOKED = [
  { value: 'jug', label: 'its jug' },
  { value: 'layer', label: 'its layer' },
] as const;

const UNREAD: Readonly<Record<NonNullable<ReadingSeen['unread']>, string>> = {
  'not-there-yet': 'not read: it is not there yet',
  'fragrance-gone': 'not read: its fragrance is gone',
};

/** Entering how thick a pot was, and what was entered. */
export function Readings() {
  const { plan, computed, edit } = usePlan('moulds', 'recipes');
  const readings = useMemo(() => readingsSeen(plan, computed), [plan, computed]);
  const [pot, setPot] = useState(plan.pots[0]?.id ?? '');
  const [stage, setStage] = useState('1');
  const [lying, setLying] = useState(false);
  const [min, setMin] = useTypedState(4);
  const [fault, setFault] = useState<string>();
  const chosen = plan.pots.some((p) => p.id === pot) ? pot : (plan.pots[0]?.id ?? '');
  const row = useRef<HTMLDivElement>(null);
  const enter = (): void => {
    // the minute before it is not what was meant
    if (row.current?.querySelector('[aria-invalid="true"]')) {
      setFault('what stands there as the minute is none');
      return;
    }
    const reading = { pot: chosen, min, stage: Number(stage), ...(lying ? { lying: true as const } : {}) };
    setFault(edit((p) => takeReading(p, computed, reading))?.message);
  };
  return (
    <Group title="How thick it really was">
      <p className="quiet -mt-2 text-sm">
        From the moment the batter is divided: which pot, at what minute, how thick. Its jug, right after a
        stir, tells how it flows; its layer in the mould, left lying, how it bears.
      </p>
      <div ref={row} className="flex flex-wrap items-end gap-3">
        {plan.pots.length > 1 && (
          <Picker
            label="Pot"
            className="w-44"
            value={chosen}
            options={plan.pots.map((p) => ({ value: p.id, label: `${p.letter}, ${p.name}` }))}
            onPick={setPot}
          />
        )}
        <div className="w-44">
          <Choice
            legend="Looked at"
            value={lying ? 'layer' : 'jug'}
            options={LOOKED}
            onChoose={(at) => setLying(at === 'layer')}
          />
        </div>
        <QuantityField
          label="Minute"
          className="w-24"
          shown={formatClock(min)}
          parse={parseClock}
          onValue={(minutes, gesture) => {
            setMin(minutes, gesture);
            return undefined;
          }}
        />
        <Picker
          label={lying ? 'It bears as' : 'It flows as'}
          className="w-64"
          value={stage}
          options={STAGE_OPTIONS}
          onPick={setStage}
        />
        <Button tone="primary" className="h-9" onClick={enter}>
          Enter it
        </Button>
      </div>
      {fault !== undefined && (
        <p role="alert" className="text-sm text-error">
          Not taken: {fault}.
        </p>
      )}
      {readings.length > 0 && (
        <ul className="flex flex-wrap gap-2" aria-label="Readings">
          {readings.map(({ reading: r, unread }) => {
            const of = plan.pots.find((p) => p.id === r.pot);
            const words = `${r.lying ? 'its layer bears as ' : ''}${STAGES[r.stage] ?? stagePhrase(r.stage)} at ${formatClock(r.min)}`;
            return (
              <li
                key={r.id}
                className="rule flex items-center gap-2 rounded-field border py-1 pr-1 pl-2 text-sm"
              >
                {of && <PotBadge pot={of} size={20} />}
                <span className={unread ? 'line-through' : ''}>{words}</span>
                {unread && <em className="quiet">{UNREAD[unread]}</em>}
                <IconButton
                  icon={X}
                  size="tiny"
                  label={`Take out: pot ${of?.letter ?? ''}, ${words}`}
                  onClick={() => edit((p) => removeReading(p, r.id))}
                />
              </li>
            );
          })}
        </ul>
      )}
      <TakenAt readings={readings} />
    </Group>
  );
}
