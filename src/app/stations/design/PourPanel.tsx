import { ArrowDown, ArrowUp, Copy, Lock, LockOpen, Trash2 } from 'lucide-react';
import { evenFrom } from '../../../core/edit/even.ts';
import { toggleLock } from '../../../core/edit/line.ts';
import { addPot } from '../../../core/edit/pots.ts';
import {
  duplicatePour,
  LANDING_FALL_MM,
  mapPour,
  removeStep,
  setAmount,
  setLanding,
  setPourPot,
  setRough,
  shiftPour,
} from '../../../core/edit/pours.ts';
import { useState } from 'react';
import type { Tilt } from '../../../core/mould/tilt.ts';
import { formatShort } from '../../../core/units/format.ts';
import { potNamed } from '../../../core/plan/sources.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Fold } from '../../kit/Fold.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { AmountFields } from './AmountFields.tsx';
import { BorderOn, LiesOn } from './LiesOn.tsx';
import { OmbreLine } from './OmbreLine.tsx';
import { TiltFields } from './TiltFields.tsx';
import { Button } from '../../kit/Button.tsx';
import { PanelHead } from '../../kit/PanelHead.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

const NEW_POT = 'a new pot';

const LANDS: Readonly<Record<ScaledLayer['pour']['landing']['how'], string>> = {
  stream: 'in a stream',
  low: 'low',
  spatula: 'over a spatula',
  spoon: 'by the spoon',
};

/** Spooned in and not smoothed it is about so rough, mm. A judgement, no source. */
const USUAL_ROUGH_MM = 6;

/** "level", "tilted 10°, right edge up" */
function standing({ rollDeg, pitchDeg }: Tilt): string {
  const edges = [
    ...(rollDeg === 0
      ? []
      : [`${formatShort(Math.abs(rollDeg), 1)}°, ${rollDeg > 0 ? 'right' : 'left'} edge up`]),
    ...(pitchDeg === 0
      ? []
      : [`${formatShort(Math.abs(pitchDeg), 1)}°, ${pitchDeg > 0 ? 'far' : 'near'} end up`]),
  ];
  return edges.length === 0 ? 'level' : `tilted ${edges.join(' and ')}`;
}

const OWNER: Readonly<Record<ScaledLayer['pour']['amount']['kind'], string>> = {
  height: 'Given by its height.',
  mass: 'Given by its mass.',
  percent: 'Given by its share.',
  rest: 'Takes its part of what the other pours leave.',
  line: 'Given by its mark on a wall.',
};

/** Everything about the chosen pour: what it takes, where it comes from, how it lands. */
export function PourPanel({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, computed, edit } = useBench('geometry', 'stack');
  const dispatch = useAppDispatch();
  const { pour } = layer;
  const pot = potNamed(plan, layer.pots[0]?.id);
  const rooms = computed.geometry.rooms.length;
  const index = computed.stack.layers.findIndex((l) => l.pour.id === pour.id);
  const count = computed.stack.layers.length;
  const choose = (id: string | null): void => {
    dispatch(pourChosen(id));
  };
  const pickPot = (value: string): void => {
    edit((p) => {
      if (value !== NEW_POT) return setPourPot(p, pour.id, value);
      const added = addPot(p);
      return setPourPot(added.plan, pour.id, added.potId);
    });
  };
  const duplicate = (): void => {
    let id = pour.id;
    edit((p) => {
      const made = duplicatePour(p, pour.id);
      id = made.stepId;
      return made.plan;
    });
    choose(id);
  };
  const remove = (): void => {
    const below = computed.stack.layers[index - 1] ?? computed.stack.layers[index + 1];
    edit((p) => removeStep(p, pour.id));
    choose(below?.pour.id ?? null);
  };
  const [tilting, setTilting] = useState(false);
  if (!pot) return null;
  const { how, fallMm } = pour.landing;
  const falls = how === 'stream' || how === 'low' || fallMm !== LANDING_FALL_MM[how];
  return (
    <section aria-label={`Pour ${index + 1}`} className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PanelHead
        badge={<PotBadge pot={pot} pour={pour.id} size={34} />}
        over={`Pour ${index + 1} of ${count}`}
        title={pot.name}
        closes="Close this pour"
        onClose={() => choose(null)}
      />
      <OmbreLine pour={pour} />
      <AmountFields layer={layer} />
      <div className="sentence">
        Poured{' '}
        <Picker
          label="Land it"
          hideLabel
          value={how}
          options={(Object.keys(LANDS) as (keyof typeof LANDS)[]).map((value) => ({
            value,
            label: LANDS[value],
          }))}
          onPick={(to) => edit((p) => setLanding(p, pour.id, { how: to, fallMm: LANDING_FALL_MM[to] }))}
        />
        {falls && (
          <>
            {' from '}
            <LengthField
              label="Falls from"
              hideLabel
              value={fallMm}
              onValue={(mm, g) => edit((p) => setLanding(p, pour.id, { how, fallMm: mm }), g)}
            />
          </>
        )}
        {' out of '}
        <Picker
          label="Poured from"
          hideLabel
          value={pot.id}
          options={[
            ...plan.pots.map((p) => ({ value: p.id, label: `${p.letter}  ${p.name}` })),
            { value: NEW_POT, label: 'a new pot' },
          ]}
          onPick={pickPot}
        />
        {rooms > 1 && (
          <>
            {' into compartment '}
            <Picker
              label="Into compartment"
              hideLabel
              value={String(Math.min(pour.compartment, rooms - 1))}
              options={Array.from({ length: rooms }, (_, i) => ({ value: String(i), label: `${i + 1}` }))}
              onPick={(i) => edit((p) => mapPour(p, pour.id, (s) => ({ ...s, compartment: Number(i) })))}
            />
          </>
        )}
        <LiesOn layer={layer} /> the mould{' '}
        <button type="button" className="word" aria-expanded={tilting} onClick={() => setTilting(!tilting)}>
          {standing(layer.tilt)} <span aria-hidden="true">▾</span>
        </button>
        , left{' '}
        <Picker
          label="Left"
          hideLabel
          value={pour.roughMm === undefined ? 'smooth' : 'rough'}
          options={[
            { value: 'smooth', label: 'smooth' },
            { value: 'rough', label: 'rough' },
          ]}
          onPick={(left) => edit((p) => setRough(p, pour.id, left === 'rough' ? USUAL_ROUGH_MM : 0))}
        />
        {pour.roughMm !== undefined && (
          <>
            {' by '}
            <LengthField
              label="Left rough"
              hideLabel
              value={pour.roughMm}
              onValue={(roughMm, g) => edit((p) => setRough(p, pour.id, roughMm), g)}
            />
          </>
        )}
        .
      </div>
      <BorderOn layer={layer} />
      {tilting && <TiltFields layer={layer} />}
      <Fold title="More" state={pour.locked ? 'locked' : ''}>
        <p className="quiet text-sm">
          {OWNER[pour.amount.kind]}{' '}
          {pour.amount.kind !== 'rest' && (
            <WordButton
              onClick={() =>
                edit((p) => setAmount(p, pour.id, { kind: 'rest', parts: Math.max(1, layer.volumeMl) }))
              }
            >
              Let it take what is left
            </WordButton>
          )}
        </p>
        <div className="flex flex-wrap gap-1.5">
          <Button
            icon={ArrowUp}
            disabled={index === count - 1}
            onClick={() => edit((p) => shiftPour(p, pour.id, 1))}
          >
            Up
          </Button>
          <Button
            icon={ArrowDown}
            disabled={index === 0}
            onClick={() => edit((p) => shiftPour(p, pour.id, -1))}
          >
            Down
          </Button>
          <Button aria-pressed={pour.locked} onClick={() => edit((p) => toggleLock(p, layer))}>
            {pour.locked ? (
              <Lock className="size-4" aria-hidden="true" />
            ) : (
              <LockOpen className="size-4" aria-hidden="true" />
            )}
            {pour.locked ? 'Locked' : 'Lock'}
          </Button>
          <Button icon={Copy} onClick={duplicate}>
            Duplicate
          </Button>
          <Button icon={Trash2} onClick={remove}>
            Remove
          </Button>
          <Button onClick={() => edit((p) => evenFrom(p, pour.id))}>Even from here up</Button>
        </div>
      </Fold>
    </section>
  );
}
