import { useVirtualizer } from '@tanstack/react-virtual';
import type { RefObject } from 'react';
import type { PlanEntry } from '../../store/tables/plans.ts';
import { CARD, PlanRow } from './PlanRow.tsx';
import { usePlans } from './useShelf.ts';

interface ManyRowsProps {
  readonly entries: readonly PlanEntry[];
  readonly columns: number;
  readonly scroller: RefObject<HTMLDivElement | null>;
}

/** A long shelf: only rows near the window are read and drawn, so that thousands do not slow it. */
export function ManyRows({ entries, columns, scroller }: ManyRowsProps) {
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions are only called here, never passed on
  const rows = useVirtualizer({
    count: Math.ceil(entries.length / columns),
    getScrollElement: () => scroller.current,
    estimateSize: () => CARD.height,
    overscan: 2,
  });
  const visible = rows.getVirtualItems();
  const entriesOf = (row: number): readonly PlanEntry[] => entries.slice(row * columns, (row + 1) * columns);
  const plans = usePlans(visible.flatMap((r) => entriesOf(r.index)));
  return (
    <div className="relative mx-6" style={{ height: rows.getTotalSize() }}>
      {visible.map((row) => (
        <PlanRow
          key={row.key}
          entries={entriesOf(row.index)}
          plans={plans}
          columns={columns}
          top={row.start}
        />
      ))}
    </div>
  );
}
