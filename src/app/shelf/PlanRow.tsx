import { lazy, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import type { PlanEntry } from '../../store/tables/plans.ts';
import { PlanCard } from './PlanCard.tsx';
import type { Shown } from './useShelf.ts';

// a whole shelf has none
const DamagedCard = lazy(async () => ({ default: (await import('./DamagedCard.tsx')).DamagedCard }));

export const CARD = { width: 240, height: 324 };

/** One that cannot be drawn is damaged too, and does not take the others with it. */
function Card({ entry, shown }: { readonly entry: PlanEntry; readonly shown: Shown }) {
  const damaged = (
    <Suspense fallback={null}>
      <DamagedCard id={entry.id} name={entry.name} />
    </Suspense>
  );
  if (shown === 'damaged') return damaged;
  return (
    <ErrorBoundary resetKeys={[shown]} fallback={damaged}>
      <PlanCard plan={shown} />
    </ErrorBoundary>
  );
}

interface PlanRowProps {
  readonly entries: readonly PlanEntry[];
  readonly plans: ReadonlyMap<string, Shown>;
  readonly columns: number;
  /** how far down the shelf it stands, px */
  readonly top: number;
}

/** One row of loaves. */
export function PlanRow({ entries, plans, columns, top }: PlanRowProps) {
  return (
    <ul
      className="absolute inset-x-0 grid"
      style={{ top, gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
    >
      {entries.map((entry) => {
        const shown = entry.unlisted ? 'damaged' : plans.get(entry.id);
        return (
          <li key={entry.id} style={{ height: CARD.height }}>
            {shown && <Card entry={entry} shown={shown} />}
          </li>
        );
      })}
    </ul>
  );
}
