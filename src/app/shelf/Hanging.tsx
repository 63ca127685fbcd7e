import { useMemo } from 'react';
import { Link } from 'react-router';
import { stateOf } from '../../core/batch/state.ts';
import type { Batch } from '../../core/batch/batchSchema.ts';
import type { Query } from '../../store/ask.ts';
import { batchesOfPlan, type StoredBatch } from '../../store/tables/batches.ts';
import { readBatches } from '../../store/tables/storedBatch.ts';
import { useLive } from '../parts/useLive.ts';

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** More do not hang under one loaf: the rest is among what is kept. */
const MOST = 5;

const HOW = { 'going-on': 'going on', finished: 'finished', 'thrown-away': 'thrown away' } as const;

/** A drop: empty while it is going on, full once it is finished, crossed out where it was thrown away. */
function Drop({ how }: { readonly how: keyof typeof HOW }) {
  return (
    <svg width="16" height="22" viewBox="0 0 16 22" aria-hidden="true">
      <path
        d="M8,1C8,6 14,9 14,14.5A6,6 0 0 1 2,14.5C2,9 8,6 8,1Z"
        fill={how === 'finished' ? 'currentColor' : 'none'}
        stroke="currentColor"
        strokeWidth="1.8"
      />
      {how === 'thrown-away' && <path d="M1,20L15,8" stroke="currentColor" strokeWidth="1.8" />}
    </svg>
  );
}

function Hangs({ batch }: { readonly batch: Batch }) {
  const how = stateOf(batch).ending?.how ?? 'going-on';
  const label = `Batch of ${DATE.format(batch.started.utcMs)}, ${HOW[how]}`;
  return (
    <li>
      <Link
        to={`/batch/${batch.id}`}
        aria-label={label}
        title={label}
        className={`relative grid min-h-8 min-w-8 place-items-center max-bench:min-h-11 max-bench:min-w-11 ${how === 'going-on' ? 'text-accent' : 'quiet'}`}
      >
        <Drop how={how} />
      </Link>
    </li>
  );
}

/** The batches of a plan, the one begun last first: they hang under its loaf. */
export function Hanging({ planId }: { readonly planId: string }) {
  const query = useMemo<Query<readonly StoredBatch[]>>(() => (db) => batchesOfPlan(db, planId), [planId]);
  const stored = useLive(query);
  const { batches } = useMemo(() => readBatches(stored ?? []), [stored]);
  if (batches.length === 0) return null;
  return (
    <ul aria-label="Batches" className="-ml-2 flex items-center">
      {batches.slice(0, MOST).map((batch) => (
        <Hangs key={batch.id} batch={batch} />
      ))}
      {batches.length > MOST && (
        <li>
          <Link to="/kept" className="relative text-sm underline">
            {batches.length - MOST} more
          </Link>
        </li>
      )}
    </ul>
  );
}
