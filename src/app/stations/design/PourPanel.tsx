import { ArrowDown, ArrowUp, Copy, Lock, LockOpen, Trash2 } from 'lucide-react';
import { evenFrom } from '../../../core/edit/even.ts';
import { toggleLock } from '../../../core/edit/line.ts';
import { addPot } from '../../../core/edit/pots.ts';
import {
  duplicatePour,
  LANDING_FALL_MM,
  removeStep,
  setAmount,
  setLanding,
  setPourPot,
  setRough,
  shiftPour,
} from '../../../core/edit/pours.ts';
import { useState } from 'react';
import { LANDINGS } from '../../../core/pattern/knowHow.ts';
import { potNamed } from '../../../core/plan/sources.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Picker } from '../../parts/Picker.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { AmountFields } from './AmountFields.tsx';
import { IntoCompartment } from './IntoCompartment.tsx';
import { BorderOn, LiesOn } from './LiesOn.tsx';
import { More } from './More.tsx';
import { OmbreLine } from './OmbreLine.tsx';
import { TiltFields } from './TiltFields.tsx';
import { tiltText } from './tiltText.ts';
import { Word } from './Word.tsx';
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

const OWNER: Readonly<Record<ScaledLayer['pour']['amount']['kind'], string>> = {
  height: 'Given by its height.',
  mass: 'Given by its mass.',
  percent: 'Given by its share.',
  rest: 'Takes its part of what the other pours leave.',
  line: 'Given by its mark on a wall.',
};

/** Everything about the chosen pour: what it takes, where it comes from, how it lands. */
export function PourPanel({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, computed, edit } = useBench('stack');
  const dispatch = useAppDispatch();
  const { pour } = layer;
  const pot = potNamed(plan, layer.pots[0]?.id);
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
              value={fallMm}
              onValue={(mm, g) => edit((p) => setLanding(p, pour.id, { how, fallMm: mm }), g)}
            />
          </>
        )}
        {' out of '}
        <Picker
          label="Poured from"
          value={pot.id}
          options={[
            ...plan.pots.map((p) => ({ value: p.id, label: `${p.letter}  ${p.name}` })),
            { value: NEW_POT, label: 'a new pot' },
          ]}
          onPick={pickPot}
        />
        <IntoCompartment pour={pour} />
        <LiesOn layer={layer} /> the mould{' '}
        <Word open={tilting} onMove={setTilting}>
          {tiltText(layer.tilt)}
        </Word>
        , left{' '}
        <Picker
          label="Left"
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
              value={pour.roughMm}
              onValue={(roughMm, g) => edit((p) => setRough(p, pour.id, roughMm), g)}
            />
          </>
        )}
        .
      </div>
      <BorderOn layer={layer} />
      {tilting && <TiltFields layer={layer} />}
      <More know={LANDINGS[how]} state={pour.locked ? 'locked' : ''}>
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
      </More>
    </section>
  );
}
