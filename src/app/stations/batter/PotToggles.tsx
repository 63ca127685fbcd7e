import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';

interface PotTogglesProps {
  readonly label: string;
  readonly chosen: readonly string[];
  /** one at least stays chosen */
  readonly onChoose: (pots: readonly string[]) => void;
}

/** The plan's pots, each to be pressed in or out. */
export function PotToggles({ label, chosen, onChoose }: PotTogglesProps) {
  const { plan } = usePlan();
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
      {plan.pots.map((pot) => {
        const on = chosen.includes(pot.id);
        return (
          <button
            key={pot.id}
            type="button"
            aria-pressed={on}
            // one at least stays
            disabled={on && chosen.length === 1}
            className={`flex cursor-pointer items-center gap-1.5 rounded-full border-2 py-0.5 pr-2.5 pl-0.5 text-sm ${on ? 'border-primary bg-base-100 font-semibold' : 'quiet border-base-300'}`}
            onClick={() => {
              const next = plan.pots.flatMap((p) =>
                (p.id === pot.id ? !on : chosen.includes(p.id)) ? [p.id] : [],
              );
              onChoose(next);
            }}
          >
            <PotBadge pot={pot} size={24} /> {pot.name}
          </button>
        );
      })}
    </div>
  );
}
