import { Link } from 'react-router';
import { batchFileName, writeBatchFile } from '../../core/exchange/batchFile.ts';
import { allBatches, setBatchAside } from '../../store/tables/batches.ts';
import { readBatches } from '../../store/tables/storedBatch.ts';
import { DamagedActions } from '../parts/Damaged.tsx';
import { saveFile } from '../parts/saveFile.ts';
import { Group } from '../parts/Station.tsx';
import { useLive } from '../parts/useLive.ts';
import { Button } from '../kit/Button.tsx';

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** What was really done, batch by batch. A batch stays when its plan is deleted. */
export function Batches() {
  const stored = useLive(allBatches) ?? [];
  if (stored.length === 0) return null;
  const { batches, damaged } = readBatches(stored);
  return (
    <Group title="Batches">
      <p className="quiet text-sm">
        What was really done, entry by entry. It stays when its plan is deleted.
      </p>
      <ul className="grid">
        {damaged.map((s) => (
          <li key={s.id} role="alert" className="rule flex flex-wrap items-center gap-2 border-b py-1.5">
            <span className="min-w-0 flex-1 truncate text-error">
              “{String(s.value['name'])}” is damaged as it is stored, and is not used.
            </span>
            <DamagedActions
              name={`batch-${s.id}`}
              raw={() => Promise.resolve(s)}
              away={(db) => setBatchAside(db, s)}
            />
          </li>
        ))}
        {batches.map((b) => (
          <li key={b.id} className="rule flex flex-wrap items-center gap-2 border-b py-1.5">
            <span className="min-w-0 flex-1 truncate">
              <Link className="underline" to={`/batch/${b.id}`}>
                “{b.name}”, {day.format(b.started.utcMs)}
              </Link>
            </span>
            <span className="quiet text-sm">
              {b.events.length} {b.events.length === 1 ? 'entry' : 'entries'}
            </span>
            <Button
              aria-label={`Export the batch of ${b.name}`}
              onClick={() => saveFile(batchFileName(b), writeBatchFile(b), 'application/json')}
            >
              Export
            </Button>
          </li>
        ))}
      </ul>
    </Group>
  );
}
