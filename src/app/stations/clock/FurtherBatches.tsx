import { useState } from 'react';
import { furtherBatches } from '../../../core/clock/batches.ts';
import type { Timetable } from '../../../core/clock/timetable.ts';
import { formatClock, formatMinutes } from '../../../core/units/format.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';

const COUNTS = [0, 1, 2, 3].map((n) => ({
  value: String(n),
  label: n === 0 ? 'this one alone' : `${n} more alike`,
}));

/** Several batches alike by the same pair of hands: when each can be begun. */
export function FurtherBatches({ clock }: { readonly clock: Timetable }) {
  const [count, setCount] = useState('0');
  const batches = furtherBatches(clock, Number(count));
  const last = batches.at(-1);
  return (
    <Group title="Several batches, the same hands">
      <Picker label="Batches" className="w-48" value={count} options={COUNTS} onPick={setCount} />
      {last && (
        <>
          <ol className="grid gap-1 text-sm">
            {batches.map((b, i) => (
              <li key={b.beginMin}>
                Batch {i + 2}: lye to its oils at minute <strong>{formatClock(b.beginMin)}</strong> of this
                clock, its own minute 0 at {formatClock(b.startMin)}, poured by {formatClock(b.endMin)}.
              </li>
            ))}
          </ol>
          <p className="quiet text-sm">
            Made one between the other’s waits, all is poured in ≈ {formatMinutes(last.endMin)}; one after
            another it would be {formatMinutes((batches.length + 1) * clock.totalMin)}. Each keeps its own
            minutes by the clock: label every jug with its batch.
          </p>
        </>
      )}
    </Group>
  );
}
