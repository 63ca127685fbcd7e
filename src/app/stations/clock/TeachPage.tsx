import { X } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { courseOf, priorCourse } from '../../../core/clock/courseOf.ts';
import { learnedOf } from '../../../core/clock/learned.ts';
import { addReading, removeReading } from '../../../core/edit/clock.ts';
import { cupTest } from '../../../core/edit/cupTest.ts';
import { STAGES, stagePhrase } from '../../../core/setting/stage.ts';
import { formatClock, formatShort } from '../../../core/units/format.ts';
import { upperFirst } from '../../../core/units/words.ts';
import { bringPlans } from '../../../store/keeping/newPlans.ts';
import { newPlanId } from '../../../store/page.ts';
import { Loading } from '../../parts/Loading.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { Group } from '../../parts/Station.tsx';
import { useTypedState } from '../../parts/useTypedState.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { parseClock } from './parseClock.ts';
import { WhatWasLearned } from './WhatWasLearned.tsx';

const BeforeAndAfter = lazy(async () => ({
  default: (await import('./BeforeAndAfter.tsx')).BeforeAndAfter,
}));

/** Halves between the words are told too. */
const STAGE_OPTIONS = Array.from({ length: 11 }, (_, i) => ({
  value: String(i / 2),
  label: `${upperFirst(stagePhrase(i / 2))} (${formatShort(i / 2, 1)})`,
}));

/** How thick pots really were, and what that teaches of the recipe and its fragrances. */
export function TeachPage() {
  const { plan, computed } = usePlan();
  const readings = plan.clock.readings ?? [];
  const prior = useMemo(() => priorCourse(plan, computed), [plan, computed]);
  const after = useMemo(() => courseOf(plan, computed), [plan, computed]);
  const learned = useMemo(() => prior && learnedOf(plan, prior), [plan, prior]);
  if (!prior || !after || !learned)
    return (
      <p className="quiet text-sm">There is no recipe yet: how fast its batter thickens is not known.</p>
    );
  return (
    <>
      <Readings />
      {readings.length > 0 && (
        <Suspense fallback={<Loading />}>
          <BeforeAndAfter prior={prior} after={after} />
        </Suspense>
      )}
      <WhatWasLearned learned={learned} />
      <CupTests />
    </>
  );
}

function Readings() {
  const { plan, edit } = usePlan();
  const readings = plan.clock.readings ?? [];
  const [pot, setPot] = useState(plan.pots[0]?.id ?? '');
  const [stage, setStage] = useState('1');
  const [min, setMin] = useTypedState(4);
  const [fault, setFault] = useState<string>();
  const chosen = plan.pots.some((p) => p.id === pot) ? pot : (plan.pots[0]?.id ?? '');
  return (
    <Group title="How thick it really was">
      <p className="quiet -mt-2 text-sm">
        From the moment the batter is divided: which jug, at what minute, how thick. Three readings tell a
        good deal.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        {plan.pots.length > 1 && (
          <Picker
            label="Pot"
            className="w-44"
            value={chosen}
            options={plan.pots.map((p) => ({ value: p.id, label: `${p.letter}, ${p.name}` }))}
            onPick={setPot}
          />
        )}
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
        <Picker label="It was" className="w-64" value={stage} options={STAGE_OPTIONS} onPick={setStage} />
        <button
          type="button"
          className="btn btn-primary btn-sm h-9"
          onClick={() => {
            setFault(edit((p) => addReading(p, { pot: chosen, min, stage: Number(stage) }))?.message);
          }}
        >
          Enter it
        </button>
      </div>
      {fault !== undefined && (
        <p role="alert" className="text-sm text-error">
          Not taken: {fault}.
        </p>
      )}
      {readings.length > 0 && (
        <ul className="flex flex-wrap gap-2" aria-label="Readings">
          {readings.map((r) => {
            const of = plan.pots.find((p) => p.id === r.pot);
            const words = `${STAGES[r.stage] ?? stagePhrase(r.stage)} at ${formatClock(r.min)}`;
            return (
              <li
                key={r.id}
                className="rule flex items-center gap-2 rounded-field border py-1 pr-1 pl-2 text-sm"
              >
                {of && <PotBadge pot={of} size={20} />}
                {words}
                <button
                  type="button"
                  className="btn btn-ghost btn-xs px-1"
                  aria-label={`Take out: pot ${of?.letter ?? ''}, ${words}`}
                  onClick={() => edit((p) => removeReading(p, r.id))}
                >
                  <X className="size-4" aria-hidden="true" />
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </Group>
  );
}

/** A cup of a fragrance, as a small batch of its own. */
function CupTests() {
  const { plan } = usePlan();
  const navigate = useNavigate();
  const { fragrances } = plan.batter;
  if (fragrances.length === 0) return null;
  const make = async (id: string): Promise<void> => {
    const cup = cupTest(plan, id, { id: newPlanId(), now: new Date().toISOString() });
    const [brought] = await bringPlans([cup]);
    if (brought) await navigate(`/plan/${brought.id}/clock/teach`);
  };
  return (
    <Group title="A cup test">
      <p className="quiet -mt-2 text-sm">
        150 g of this recipe with one fragrance, in one cup, looked at three times: cheaper than a loaf that
        seizes. It is raw batter all the same: goggles and gloves.
      </p>
      <div className="flex flex-wrap gap-2">
        {fragrances.map((f) => (
          <button key={f.id} type="button" className="btn btn-sm" onClick={() => void make(f.id)}>
            Plan a cup of “{f.name}”
          </button>
        ))}
      </div>
    </Group>
  );
}
