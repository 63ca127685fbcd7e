import { useVirtualizer } from '@tanstack/react-virtual';
import type { PlanEntry } from '../../store/planRecords.ts';
import { useSize } from '../parts/useSize.ts';
import { PlanCard } from './PlanCard.tsx';
import { usePlans } from './useShelf.ts';

const CARD = { width: 240, height: 252 };

/** The loaves in rows. Only rows near the window are read and drawn, so that thousands do not slow it. */
export function PlanGrid({ entries }: { readonly entries: readonly PlanEntry[] }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const columns = Math.max(1, Math.floor((width - 48) / CARD.width));
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions are only called here, never passed on
  const rows = useVirtualizer({
    count: Math.ceil(entries.length / columns),
    getScrollElement: () => ref.current,
    estimateSize: () => CARD.height,
    overscan: 2,
  });
  const visible = rows.getVirtualItems();
  const entriesOf = (row: number): readonly PlanEntry[] => entries.slice(row * columns, (row + 1) * columns);
  const plans = usePlans(visible.flatMap((r) => entriesOf(r.index)));
  return (
    <div ref={ref} className="min-h-0 flex-1 overflow-y-auto" data-testid="shelf">
      <div className="relative mx-6" style={{ height: rows.getTotalSize() }}>
        {visible.map((row) => (
          <ul
            key={row.key}
            className="absolute inset-x-0 grid"
            style={{ top: row.start, gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
          >
            {entriesOf(row.index).map((entry) => {
              const plan = plans.get(entry.id);
              return (
                <li key={entry.id} style={{ height: CARD.height }}>
                  {plan && <PlanCard plan={plan} />}
                </li>
              );
            })}
          </ul>
        ))}
      </div>
    </div>
  );
}
