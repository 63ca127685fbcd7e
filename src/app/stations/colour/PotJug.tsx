import { Link } from 'react-router';
import { intoJug } from '../../../core/edit/supplies.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { useSupplies } from '../../parts/useSupplies.ts';

const UNKNOWN = 'unknown';

/** Which of the maker's jugs a pot is mixed in: does it fit, and what does the scale read. */
export function PotJug({ pot }: { readonly pot: Pot }) {
  const { plan, computed, edit, show } = usePlan('weights');
  const jugs = useSupplies('jug');
  const { jug } = pot;
  if (jugs.length === 0 && !jug)
    return (
      <p className="quiet text-sm">
        <Link to="/supplies" className="underline">
          Jugs in the supplies
        </Link>{' '}
        say whether a pot fits and what the scale reads.
      </p>
    );
  const weight = computed.weights?.pots.find((p) => p.pot.id === pot.id);
  const volumeMl = weight?.densityGMl === undefined ? undefined : weight.batterG / weight.densityGMl;
  const taken = (name: string): number =>
    plan.pots.filter((p) => p.jug?.name === name && p.jugOf === undefined).length;
  const chosen = jugs.find((j) => j.value.name === jug?.name)?.value;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Picker
        label="Mixed in"
        className="w-52"
        value={jug ? (chosen?.id ?? 'kept') : UNKNOWN}
        options={[
          { value: UNKNOWN, label: 'any jug' },
          ...(jug && !chosen ? [{ value: 'kept', label: `${jug.name} (no longer in the supplies)` }] : []),
          ...jugs.map(({ value: j }) => ({ value: j.id, label: j.name })),
        ]}
        onPick={(id) => {
          if (id === 'kept') return;
          edit((p) => intoJug(p, pot.id, jugs.find((j) => j.value.id === id)?.value));
        }}
      />
      {jug && volumeMl !== undefined && (
        <p className="pb-2 text-sm">
          {show.volume(volumeMl)} in {show.volume(jug.capacityMl)}
          {weight && `; full, the scale reads ${show.mass(weight.batterG + jug.tareG)}`}
        </p>
      )}
      {jug && chosen && taken(jug.name) > chosen.count && (
        <p className="pb-2 text-sm font-semibold text-error">
          {taken(jug.name)} pots want one, and there {chosen.count === 1 ? 'is 1' : `are ${chosen.count}`}.
        </p>
      )}
    </div>
  );
}
