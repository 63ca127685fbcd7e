import { useState } from 'react';
import { ask } from '../../store/ask.ts';
import { putBack } from '../../store/keeping/newPlans.ts';
import {
  allBinned,
  daysLeft,
  emptyBin,
  outOfBin,
  putBackThing,
  type BinRecord,
} from '../../store/tables/bin.ts';
import { PLANS, takenOf } from '../../store/tables/plans.ts';
import { useAppDispatch } from '../../store/store.ts';
import { toastShown } from '../../store/toastSlice.ts';
import { plural } from '../../core/units/words.ts';
import { Button } from '../kit/Button.tsx';
import { Group } from '../parts/Station.tsx';
import { useLive } from '../parts/useLive.ts';
import { KIND_WORDS } from './kindWords.ts';

/** What was deleted within a month, to be put back. Nothing where there is nothing. */
export function Bin() {
  const dispatch = useAppDispatch();
  const binned = useLive(allBinned) ?? [];
  const [now] = useState(() => Date.now());
  const back = async (entry: BinRecord): Promise<void> => {
    if (entry.table === PLANS.name) return putBack(takenOf(entry));
    if (!(await ask((db) => putBackThing(db, entry))))
      dispatch(
        toastShown({
          text: `A ${KIND_WORDS[entry.table] ?? 'thing'} “${entry.name}” is there again. It stays as it is, and the deleted one stays in the bin.`,
          tone: 'trouble',
        }),
      );
    return undefined;
  };
  if (binned.length === 0) return null;
  return (
    <Group title="Bin" aside={<Button onClick={() => void ask(emptyBin)}>Empty the bin</Button>}>
      <p className="quiet text-sm">What was deleted stays here for a month. Emptied, it is gone for good.</p>
      <ul className="grid">
        {binned.map((entry) => (
          <li
            key={entry.id}
            aria-label={entry.name}
            className="rule flex flex-wrap items-center gap-2 border-b py-1.5"
          >
            <span className="min-w-0 flex-1 truncate">
              {KIND_WORDS[entry.table] ?? entry.table} “{entry.name}”
            </span>
            <span className="quiet text-sm">{plural(daysLeft(entry, now), 'day')} more</span>
            <Button onClick={() => void back(entry)}>Put back</Button>
            <Button onClick={() => void ask((db) => outOfBin(db, entry.id))}>Delete for good</Button>
          </li>
        ))}
      </ul>
    </Group>
  );
}
