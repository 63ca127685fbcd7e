import { mapPour } from '../../../core/edit/pours.ts';
import type { Pour } from '../../../core/plan/stepSchema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useBench } from '../../parts/usePlan.ts';

/** In a card's sentence, where a mould has several compartments: which one. */
export function IntoCompartment({ pour }: { readonly pour: Pour }) {
  const { computed, edit } = useBench('geometry');
  const rooms = computed.geometry.rooms.length;
  if (rooms < 2) return null;
  return (
    <>
      {' into compartment '}
      <Picker
        label="Into compartment"
        value={String(Math.min(pour.compartment, rooms - 1))}
        options={Array.from({ length: rooms }, (_, i) => ({ value: String(i), label: `${i + 1}` }))}
        onPick={(i) => edit((p) => mapPour(p, pour.id, (s) => ({ ...s, compartment: Number(i) })))}
      />
    </>
  );
}
