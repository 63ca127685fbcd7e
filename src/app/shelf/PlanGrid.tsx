import { lazy, Suspense, useRef } from 'react';
import type { PlanEntry } from '../../store/tables/plans.ts';
import { useSize } from '../parts/useSize.ts';
import { CARD, PlanRow } from './PlanRow.tsx';
import { usePlans } from './useShelf.ts';

/** What draws only the rows near the window is loaded where there are more plans than this. */
const FEW = 30;

const ManyRows = lazy(async () => ({ default: (await import('./ManyRows.tsx')).ManyRows }));

interface RowsProps {
  readonly entries: readonly PlanEntry[];
  readonly columns: number;
}

/** All rows of a short shelf. */
function FewRows({ entries, columns }: RowsProps) {
  const plans = usePlans(entries);
  const count = Math.ceil(entries.length / columns);
  return (
    <div className="relative mx-6" style={{ height: count * CARD.height }}>
      {Array.from({ length: count }, (_, row) => (
        <PlanRow
          key={row}
          entries={entries.slice(row * columns, (row + 1) * columns)}
          plans={plans}
          columns={columns}
          top={row * CARD.height}
        />
      ))}
    </div>
  );
}

/** The loaves in rows, as many in each as there is room for. */
export function PlanGrid({ entries }: { readonly entries: readonly PlanEntry[] }) {
  const scroller = useRef<HTMLDivElement>(null);
  const [ref, { width }] = useSize<HTMLDivElement>();
  const columns = Math.max(1, Math.floor((width - 48) / CARD.width));
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto" data-testid="shelf">
      <div ref={ref}>
        {entries.length <= FEW ? (
          <FewRows {...{ entries, columns }} />
        ) : (
          <Suspense fallback={null}>
            <ManyRows {...{ entries, columns, scroller }} />
          </Suspense>
        )}
      </div>
    </div>
  );
}
