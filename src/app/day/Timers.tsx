import { X } from 'lucide-react';
import { useState } from 'react';
import type { BatchState, Timer } from '../../core/batch/state.ts';
import type { When } from '../../core/batch/when.ts';
import type { Act } from '../../core/procedure/act.ts';
import { sayOnDay } from '../../store/day.ts';
import { Press } from './Press.tsx';
import { IconButton } from '../kit/IconButton.tsx';
import { useDay } from './dayContext.ts';
import { spanText } from './spanText.ts';
import { useAlarm } from './useAlarm.ts';
import { useAgo } from './useNow.ts';

const LENGTHS = [1, 3, 5, 10] as const;

/** Since when batter is in its bags; undefined before, and once it is piped. */
function bagsSince(acts: readonly Act[], { done }: BatchState): When | undefined {
  const filled = acts.find((a) => a.deed.does === 'fill-bags');
  const piped = acts.filter((a) => a.deed.does === 'pipe').every((a) => done.has(a.id));
  return filled && !piped ? done.get(filled.id) : undefined;
}

/** Timers of the day: as many as are wanted at once, each with what is left of it. */
export function Timers() {
  const { state, acts, runs } = useDay();
  const [sets, setSets] = useState(false);
  const filled = bagsSince(acts, state);
  const free = (minutes: number): string => {
    const names = [`${minutes} min`, `${minutes} min, another`];
    return names.find((n) => !state.timers.has(n)) ?? `${minutes} min, one more`;
  };
  return (
    <section aria-label="Timers" className="grid gap-2">
      {filled && <Running name="In the bag, where it sets too" timer={{ at: filled, minutes: undefined }} />}
      {[...state.timers].map(([name, timer]) => (
        <Running key={name} name={name} timer={timer} />
      ))}
      {runs && !sets && (
        <Press className="justify-self-start" onClick={() => setSets(true)}>
          Set a timer
        </Press>
      )}
      {runs && sets && (
        <p className="flex flex-wrap items-center gap-2">
          <span className="quiet">Timer</span>
          {LENGTHS.map((minutes) => (
            <Press
              key={minutes}

              onClick={() => {
                setSets(false);
                void sayOnDay([{ does: 'timer', name: free(minutes), is: 'started', minutes }]);
              }}
            >
              {minutes} min
            </Press>
          ))}
        </p>
      )}
    </section>
  );
}

function Running({ name, timer: { at, minutes } }: { readonly name: string; readonly timer: Timer }) {
  const day = useDay();
  const since = useAgo(day, at)?.min ?? 0;
  const left = minutes === undefined ? undefined : minutes - since;
  const over = left !== undefined && left <= 0;
  useAlarm(over ? name : undefined, `${name}: time is up.`);
  return (
    <p
      className={`flex items-center gap-3 border-l-8 bg-base-200 py-1 pl-3 ${over ? 'border-accent font-bold' : 'border-base-300'}`}
    >
      <span className="flex-1">{name}</span>
      <strong className="text-xl tabular-nums">
        {left === undefined ? spanText(since) : over ? `over since ${spanText(0 - left)}` : spanText(left)}
      </strong>
      {day.runs && minutes !== undefined && (
        <IconButton
          icon={X}
          label={`Stop: ${name}`}

          onClick={() => void sayOnDay([{ does: 'timer', name, is: 'stopped' }])}
        />
      )}
    </p>
  );
}
