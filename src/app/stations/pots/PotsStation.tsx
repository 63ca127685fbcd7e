import { Plus } from 'lucide-react';
import { addPot } from '../../../core/edit/pots.ts';
import { Group, Station } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { DivideFields } from './DivideFields.tsx';
import { PotCard } from './PotCard.tsx';
import { PotWeights } from './PotWeights.tsx';

export function PotsStation() {
  const { plan, computed, edit } = usePlan();
  return (
    <Station station="pots" title="Pots">
      <Group
        title="Colours"
        aside={
          <button type="button" className="btn btn-sm" onClick={() => edit((p) => addPot(p).plan)}>
            <Plus className="size-4" aria-hidden="true" />
            Pot
          </button>
        }
      >
        <ul className="grid gap-3">
          {plan.pots.map((pot) => (
            <PotCard key={pot.id} pot={pot} />
          ))}
        </ul>
      </Group>
      <DivideFields />
      {computed.weights && <PotWeights weights={computed.weights} />}
    </Station>
  );
}
