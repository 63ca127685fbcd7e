import { holdBack } from '../../../core/edit/pots.ts';
import { MassField } from '../../parts/quantities.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** How much of each pot is kept for the top and for repairs. */
export function HeldBack() {
  const { plan, edit } = usePlan();
  return (
    <ul className="grid grid-cols-[minmax(0,1fr)] gap-1.5">
      {plan.pots.map((pot) => (
        <li key={pot.id} className="flex items-center gap-2">
          <PotBadge pot={pot} size={24} />
          <span className="min-w-0 flex-1 truncate">{pot.name}</span>
          <MassField
            label={`Held back from pot ${pot.letter}`}
            hideLabel
            className="w-26 shrink-0"
            value={plan.fill.top.find((t) => t.pot === pot.id)?.massG ?? 0}
            onValue={(massG, g) =>
              massG < 0
                ? { code: 'negative', message: 'Less than nothing cannot be held back' }
                : edit((p) => holdBack(p, pot.id, massG), g)
            }
          />
        </li>
      ))}
    </ul>
  );
}
