import { Copy, Trash2 } from 'lucide-react';
import { duplicatePour, mapPour, removeStep } from '../../../../core/edit/pours.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { isOneJug, wayOf } from '../../../../core/ways/ways.ts';
import type { PatternPour } from '../../../../core/plan/patternSchema.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { isLevel } from '../../../../core/mould/tilt.ts';
import { AmountFields } from '../AmountFields.tsx';
import { TiltFields } from '../TiltFields.tsx';
import { BorderOn, LiesOn } from '../LiesOn.tsx';
import { HowPoured } from './HowPoured.tsx';
import { NeedsAndFails } from './NeedsAndFails.tsx';
import { PictureOrders } from './PictureOrders.tsx';
import { PlaceFields } from './PlaceFields.tsx';
import { RoundBars } from './RoundBars.tsx';
import { RoundOrder } from './RoundOrder.tsx';
import { Button } from '../../../kit/Button.tsx';
import { PanelHead } from '../../../kit/PanelHead.tsx';

interface PatternPanelProps {
  readonly layer: ScaledLayer;
  readonly pattern: PatternPour;
}

/** Everything about a pour that pushes others aside: its round, its rounds, where it goes in and how deep. */
export function PatternPanel({ layer, pattern }: PatternPanelProps) {
  const { computed, edit } = useBench('stack', 'geometry');
  const dispatch = useAppDispatch();
  const { pour } = layer;
  const { layers } = computed.stack;
  const index = layers.findIndex((l) => l.pour.id === pour.id);
  const rooms = computed.geometry.rooms.length;
  const { know } = wayOf(pattern.place);
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
  return (
    <section aria-label={`Pour ${index + 1}`} className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <PanelHead
        over={`Pour ${index + 1} of ${layers.length}`}
        title={know.name}
        closes="Close this pour"
        onClose={() => choose(null)}
      />
      <RoundOrder pour={pour} />
      {pattern.then.length > 1 && !isOneJug(pattern.place) && <PictureOrders pour={pour} />}
      {!isOneJug(pattern.place) && <RoundBars layer={layer} />}
      <AmountFields layer={layer} />
      <PlaceFields pour={pour} place={pattern.place} />
      <details open={!isLevel(layer.tilt)}>
        <summary className="cursor-pointer text-sm font-semibold">The mould is propped</summary>
        <div className="mt-2">
          <TiltFields layer={layer} />
        </div>
      </details>
      {rooms > 1 && (
        <Picker
          label="Into compartment"
          value={String(Math.min(pour.compartment, rooms - 1))}
          options={Array.from({ length: rooms }, (_, i) => ({ value: String(i), label: `${i + 1}` }))}
          onPick={(i) => edit((p) => mapPour(p, pour.id, (s) => ({ ...s, compartment: Number(i) })))}
        />
      )}
      <HowPoured layer={layer} />
      {isOneJug(pattern.place) && (
        <div className="sentence">
          Poured <LiesOn layer={layer} /> the mould as it stands.
        </div>
      )}
      <BorderOn layer={layer} />
      <NeedsAndFails know={know} />
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
    </section>
  );
}
