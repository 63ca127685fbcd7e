import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Query } from '../../store/ask.ts';
import { countDrafts } from '../../store/tables/drafts.ts';
import { livingElsewhere, openConflicts, type Conflict } from '../../store/keeping/conflicts.ts';
import { useLive } from '../parts/useLive.ts';

const NONE: readonly Conflict[] = [];
const conflictsNow: Query<readonly Conflict[]> = async (db) =>
  (await countDrafts(db)) === 0 ? NONE : openConflicts(db);

/**
 * Plans that were changed in two places and wait for the maker's decision: they are kept until it is made.
 */
export function Waiting() {
  const conflicts = useLive(conflictsNow) ?? NONE;
  const [shown, setShown] = useState(NONE);
  useEffect(() => {
    let gone = false;
    void livingElsewhere(conflicts).then((found) => {
      if (!gone) setShown(found);
    });
    return () => {
      gone = true;
    };
  }, [conflicts]);
  if (shown.length === 0) return null;
  return (
    <section
      aria-label="Waiting for a decision"
      className="mx-8 mb-4 grid gap-1 border-l-4 border-warning bg-base-100 px-4 py-3"
    >
      <h2 className="text-base">Waiting for a decision</h2>
      <ul className="grid gap-1">
        {shown.map((c) => (
          <li key={`${c.planId} ${c.page}`} className="flex flex-wrap items-center gap-3">
            <span>
              “{c.name}” was{' '}
              {c.deleted ? 'deleted in another tab while it was changed here' : 'changed in two places'}. Both
              are kept.
            </span>
            {c.elsewhere ? (
              <span className="quiet text-sm">It is open in another tab: decide there.</span>
            ) : (
              <Link className="btn btn-sm" to={`/plan/${c.planId}/design`} state={{ decide: true }}>
                Decide
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
