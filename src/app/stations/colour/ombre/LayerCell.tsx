import { setTurn } from '../../../../core/edit/ombre.ts';
import type { OmbreLayer } from '../../../../core/weigh/ombre/types.ts';
import { PotBadge } from '../../../parts/PotBadge.tsx';
import { usePlan } from '../../../parts/usePlan.ts';

const TURNS = [
  { value: 'none', label: 'goes on' },
  { value: 'restart', label: 'restarts' },
  { value: 'reverse', label: 'turns back' },
] as const;

/** A layer of an ombre by its number and pot, and where it is asked for whether the ombre turns there. */
export function LayerCell({ layer, turns }: { readonly layer: OmbreLayer; readonly turns: boolean }) {
  const { plan, edit } = usePlan();
  const { pourId, nth } = layer.shade;
  const pour = plan.steps.find((s) => s.kind === 'pour' && s.id === pourId);
  const turn = (pour?.kind === 'pour' ? pour.ombre?.turn : undefined) ?? 'none';
  return (
    <span className="flex items-center gap-2">
      <span className="w-5 text-right">{nth + 1}</span>
      <PotBadge pot={layer.pot} pour={pourId} size={26} />
      {turns && nth > 0 && (
        <select
          className={`field h-7 w-24 px-1 text-sm ${turn === 'none' ? 'quiet border-transparent' : 'font-bold'}`}
          aria-label={`Turn at layer ${nth + 1}`}
          value={turn}
          onChange={(event) => {
            const wanted = TURNS.find((t) => t.value === event.target.value)?.value ?? 'none';
            edit((p) => setTurn(p, pourId, wanted));
          }}
        >
          {TURNS.map((t) => (
            <option key={t.value} value={t.value}>
              {t.label}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}
