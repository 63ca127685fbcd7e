import { Copy, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { setPlace } from '../../../../core/edit/pattern.ts';
import { duplicatePour, removeStep } from '../../../../core/edit/pours.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { isOneJug, wayOf } from '../../../../core/ways/ways.ts';
import type { PatternPour } from '../../../../core/plan/patternSchema.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { potNamed, roundOf } from '../../../../core/plan/sources.ts';
import { PotBadge } from '../../../parts/PotBadge.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { AmountFields } from '../AmountFields.tsx';
import { IntoCompartment } from '../IntoCompartment.tsx';
import { More } from '../More.tsx';
import { TiltFields } from '../TiltFields.tsx';
import { tiltText } from '../tiltText.ts';
import { Word } from '../Word.tsx';
import { DropPlaces } from './DropPlaces.tsx';
import { BorderOn, LiesOn } from '../LiesOn.tsx';
import { HowPoured, WhatItDoes } from './HowPoured.tsx';
import { PictureOrders } from './PictureOrders.tsx';
import { PlaceFields } from './PlaceFields.tsx';
import { RoundCount } from './RoundCount.tsx';
import { RoundBars } from './RoundBars.tsx';
import { RoundOrder } from './RoundOrder.tsx';
import { Button } from '../../../kit/Button.tsx';
import { Fold } from '../../../kit/Fold.tsx';
import { PanelHead } from '../../../kit/PanelHead.tsx';

interface PatternPanelProps {
  readonly layer: ScaledLayer;
  readonly pattern: PatternPour;
}

/** Everything about a pour that pushes others aside: its round, its rounds, where it goes in and how deep. */
export function PatternPanel({ layer, pattern }: PatternPanelProps) {
  const { plan, computed, edit } = useBench('stack');
  const dispatch = useAppDispatch();
  const { pour } = layer;
  const { layers } = computed.stack;
  const index = layers.findIndex((l) => l.pour.id === pour.id);
  const { know } = wayOf(pattern.place);
  const [open, setOpen] = useState<'order' | 'tilt'>();
  const choose = (id: string | null): void => {
    dispatch(pourChosen(id));
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
  const place = pattern.place;
  const oneJug = isOneJug(place);
  return (
    <section aria-label={`Pour ${index + 1}`} className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PanelHead
        over={`Pour ${index + 1} of ${layers.length}`}
        title={know.name}
        closes="Close this pour"
        onClose={() => choose(null)}
      />
      <AmountFields layer={layer} />
      <div className="sentence">
        <PlaceFields pour={pour} place={place} />
        {oneJug ? ', out of one jug with ' : ', '}
        <Word
          open={open === 'order'}
          onMove={(to) => setOpen(to ? 'order' : undefined)}
          label={`${roundOf(pour)
            .map((id) => potNamed(plan, id)?.letter ?? '')
            .join(' ')}: the round`}
        >
          <span className="inline-flex flex-wrap gap-0.5 align-middle leading-none">
            {roundOf(pour).map((id, i) => {
              const pot = potNamed(plan, id);
              return pot && <PotBadge key={i} pot={pot} size={20} />;
            })}
          </span>
        </Word>
        {!oneJug && <RoundCount pour={pour} />}
        ,<HowPoured layer={layer} />
        <IntoCompartment pour={pour} />
        {oneJug ? <LiesOn layer={layer} /> : ','} the mould{' '}
        <Word open={open === 'tilt'} onMove={(to) => setOpen(to ? 'tilt' : undefined)}>
          {tiltText(layer.tilt)}
        </Word>
        .
      </div>
      {open === 'order' && <RoundOrder pour={pour} />}
      {open === 'tilt' && <TiltFields layer={layer} />}
      <WhatItDoes layer={layer} />
      <BorderOn layer={layer} />
      <div>
        {!oneJug && (
          <Fold title="Each round" state={roundsText(pattern.rounds)}>
            <RoundBars layer={layer} />
          </Fold>
        )}
        {place.at === 'drops' && (
          <Fold title="Places" state={String(place.spots.length)}>
            <DropPlaces place={place} put={(next, g) => edit((p) => setPlace(p, pour.id, next), g)} />
          </Fold>
        )}
        <More know={know}>
          {pattern.then.length > 1 && !oneJug && <PictureOrders pour={pour} />}
          <div className="flex flex-wrap gap-1.5">
            <Button icon={Copy} onClick={duplicate}>
              Duplicate
            </Button>
            <Button
              icon={Trash2}
              onClick={() => {
                edit((p) => removeStep(p, pour.id));
                choose(null);
              }}
            >
              Remove
            </Button>
          </div>
        </More>
      </div>
    </section>
  );
}

/** "each as much", "the last least" */
function roundsText(parts: readonly number[]): string {
  if (parts.length === 1) return 'all at once';
  return Math.max(...parts) - Math.min(...parts) < 1e-6 ? 'as much in each' : 'shared out unevenly';
}
