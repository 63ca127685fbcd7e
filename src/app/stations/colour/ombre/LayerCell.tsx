import type { StepId } from '../../../../core/validate/ids.ts';
import { memo } from 'react';
import { setTurn } from '../../../../core/edit/ombre.ts';
import type { Pot } from '../../../../core/plan/planSchema.ts';
import { editPlan } from '../../../../store/editPlan.ts';
import { useAppDispatch, useAppSelector } from '../../../../store/store.ts';
import { TurnDrawing } from './TurnDrawing.tsx';
import { PotBadge } from '../../../parts/PotBadge.tsx';

const TURNS = [
  { value: 'none', label: 'goes on' },
  { value: 'restart', label: 'restarts' },
  { value: 'reverse', label: 'turns back' },
] as const;

interface LayerCellProps {
  readonly pourId: StepId;
  /** counted in its ombre, from 0 */
  readonly nth: number;
  readonly pot: Pot;
  readonly turns: boolean;
}

/** A layer of an ombre by its number and pot, and where it is asked for whether the ombre turns there. */
export const LayerCell = memo(function LayerCell({ pourId, nth, pot, turns }: LayerCellProps) {
  return (
    <span className="flex items-center gap-2">
      <span className="w-5 text-right">{nth + 1}</span>
      <PotBadge pot={pot} pour={pourId} size={26} />
      {turns && nth > 0 && <Turn pourId={pourId} nth={nth} />}
    </span>
  );
});

function Turn({ pourId, nth }: Pick<LayerCellProps, 'pourId' | 'nth'>) {
  const dispatch = useAppDispatch();
  const turn = useAppSelector(({ plan }) => {
    const pour = plan.present?.steps.find((s) => s.id === pourId);
    return (pour?.kind === 'pour' ? pour.ombre?.turn : undefined) ?? 'none';
  });
  return (
    <>
      <TurnDrawing turn={turn} />
      <select
        className={`field h-7 w-24 px-1 text-sm ${turn === 'none' ? 'quiet border-transparent' : 'font-bold'}`}
        aria-label={`Turn at layer ${nth + 1}`}
        value={turn}
        onChange={(event) => {
          const wanted = TURNS.find((t) => t.value === event.target.value)?.value ?? 'none';
          dispatch(editPlan((p) => setTurn(p, pourId, wanted)));
        }}
      >
        {TURNS.map((t) => (
          <option key={t.value} value={t.value}>
            {t.label}
          </option>
        ))}
      </select>
    </>
  );
}
