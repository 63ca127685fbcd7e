import { pouredIn } from '../../core/weigh/scaled.ts';
import { mouldNames } from '../../core/plan/moulds.ts';
import { mouldShown } from '../../store/deskSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { useMouldUse, usePlan } from '../parts/usePlan.ts';

/** Which of a plan's moulds stands on the bench. Nothing where there is one. */
export function MouldTabs({ className = '' }: { readonly className?: string }) {
  const { plan, computed, show } = usePlan('moulds');
  const { use } = useMouldUse();
  const dispatch = useAppDispatch();
  if (computed.moulds.length === 1) return null;
  const names = mouldNames(plan);
  return (
    <div
      role="group"
      aria-label="Mould on the bench"
      className={`no-print rule shrink-0 gap-1 overflow-x-auto border-b px-4 pt-2 ${className}`}
    >
      {computed.moulds.map((m) => {
        const { id, copies } = m.use;
        const here = id === use.id;
        return (
          <button
            key={id}
            type="button"
            aria-pressed={here}
            className={`-mb-px cursor-pointer rounded-t-field border-b-3 px-2.5 pt-1 pb-1 text-left leading-tight whitespace-nowrap ${here ? 'border-accent font-bold' : 'quiet border-transparent hover:text-base-content'}`}
            onClick={() => dispatch(mouldShown(id))}
          >
            {copies > 1 && `${copies} × `}
            {names.get(id)}
            <span className="quiet block text-xs font-normal">
              {show.mass(pouredIn(m))}
              {copies > 1 && ' each'}
            </span>
          </button>
        );
      })}
    </div>
  );
}
