import type { Pot } from '../../../core/plan/planSchema.ts';
import { formatShort } from '../../../core/units/format.ts';
import { listed } from '../../../core/units/words.ts';
import { gradedBy } from '../../../core/ombre/runs.ts';
import { drawnPots } from '../../../core/look/matchPots.ts';
import { NO_COLOUR } from '../../parts/ink.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import type { NamedState } from './LookStates.tsx';
import { PotCard } from './PotCard.tsx';

interface PotRowProps {
  readonly pot: Pot;
  readonly states: readonly NamedState[];
  readonly open: boolean;
  readonly onMove: (open: boolean) => void;
}

/**
 * One pot in a line: what colours it, how that looks from pour to cure, what is in its jug. Its card opens
 * below.
 */
export function PotRow({ pot, states, open, onMove }: PotRowProps) {
  const { plan, computed, show } = usePlan('weights');
  const weight = computed.weights?.pots.find((w) => w.pot.id === pot.id);
  const graded = gradedBy(plan, pot.id);
  const doses = pot.colorants.map(
    (c) =>
      `${formatShort(c.doseGPerKg, 2)} g/kg ${plan.colorants.find((k) => k.id === c.colorant)?.name ?? c.colorant}`,
  );
  const coloured = (): string => {
    if (graded) return `of the ombre ${graded.name}`;
    if (doses.length > 0) return listed(doses);
    return drawnPots(plan).includes(pot) ? 'only drawn' : 'no colorant';
  };
  return (
    <li aria-label={`Pot ${pot.letter}`} className="rule border-t">
      <button
        type="button"
        aria-expanded={open}
        className="flex w-full cursor-pointer items-center gap-3 py-2 text-left"
        onClick={() => onMove(!open)}
      >
        <PotBadge pot={pot} size={34} />
        <span className="grid min-w-0 flex-1 leading-tight">
          <span className="truncate font-semibold">{pot.name}</span>
          <span className="quiet truncate text-sm">{coloured()}</span>
        </span>
        <span className="hidden overflow-hidden rounded-field sm:flex" aria-hidden="true">
          {states.slice(0, 3).map(({ name, colours }) => (
            <span
              key={name}
              className="h-7 w-6"
              title={name}
              style={{ background: colours.pots.get(pot.id) ?? NO_COLOUR }}
            />
          ))}
        </span>
        <span className="w-16 text-right text-lg font-bold">{weight ? show.mass(weight.batterG) : '–'}</span>
        <span className={`w-3 text-xs transition-transform ${open ? 'rotate-90' : ''}`} aria-hidden="true">
          ▶
        </span>
      </button>
      {open && <PotCard pot={pot} states={states} />}
    </li>
  );
}
