import { useMemo, useState } from 'react';
import { comesAfter, toCarryOut } from '../../core/making/order.ts';
import { elseFirst, meanwhile } from '../../core/making/meanwhile.ts';
import { insteadOf } from '../../core/making/instead.ts';
import { titleOf } from '../../core/making/words.ts';
import { minutesOfEvents } from '../../core/making/minute.ts';
import { wentIn } from '../../core/making/live.ts';
import type { Act } from '../../core/procedure/act.ts';
import { now } from '../../store/when.ts';
import { Press } from './Press.tsx';
import { useDay } from './dayContext.ts';
import { ago } from './useNow.ts';

interface MeanwhileProps {
  readonly act: Act;
  /** show another one first */
  readonly onInstead: (act: Act) => void;
}

/** Other acts that can come first, and what hands can do while something is waited for. */
export function Meanwhile({ act, onInstead }: MeanwhileProps) {
  const { acts, state, next, runs } = useDay();
  const [open, setOpen] = useState(false);
  const isNext = next?.act.id === act.id;
  const free = useMemo(() => (isNext ? meanwhile(acts, state, act) : []), [isNext, acts, state, act]);
  if (!isNext) return null;
  const waits = act.deed.does === 'wait';
  return (
    <section aria-label="Something else first" className="grid gap-2">
      {waits && (
        <p className="leading-snug">
          <strong>While it stands:</strong>{' '}
          {free.length > 0 && <>{free.map((a) => titleOf(a, state.plan)).join('; ')}; or </>}
          whisks and empty jugs wiped out with paper, gloves on.
        </p>
      )}
      {runs && (
        <Press className="justify-self-start" aria-expanded={open} onClick={() => setOpen(!open)}>
          Something else first
        </Press>
      )}
      {open && <Others act={act} onInstead={onInstead} />}
    </section>
  );
}

/** More is not told at once. */
const MOST = 6;

function Others({ act, onInstead }: MeanwhileProps) {
  const day = useDay();
  const { acts, state, computed, batch } = day;
  const { plan } = state;
  const others = elseFirst(acts, state, act).slice(0, MOST);
  const later = toCarryOut(acts)
    .filter((a) => !state.done.has(a.id) && a.id !== act.id && comesAfter(acts, state, a) !== undefined)
    .slice(0, 2);
  const minuteOf = minutesOfEvents(batch, state.zero);
  const went = minuteOf && wentIn(plan, state, minuteOf);
  const minute = state.zero ? ago(day, state.zero, now()).min : 0;
  return (
    <ul className="grid gap-2">
      {others.map((other) => (
        <li key={other.id} className="flex flex-wrap items-center gap-x-3 border-l-4 border-base-300 pl-3">
          <span className="min-w-48 flex-1 leading-snug">
            <strong>{titleOf(other, plan)}</strong>
            <span className="block text-sm">
              {went
                ? insteadOf(computed, went, minute, other)
                : 'It changes nothing of the clock: that has not begun.'}
            </span>
          </span>
          <Press onClick={() => onInstead(other)}>This first</Press>
        </li>
      ))}
      {later.map((a) => (
        <li key={a.id} className="quiet border-l-4 border-base-300 pl-3 text-sm">
          {titleOf(a, plan)}: not before {titleOf(comesAfter(acts, state, a) ?? a, plan)}
        </li>
      ))}
    </ul>
  );
}
