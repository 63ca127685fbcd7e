import { useEffect, useState } from 'react';
import { inOrder } from '../../core/batch/book.ts';
import type { When } from '../../core/batch/when.ts';
import { sinceThen } from '../../core/making/minute.ts';
import type { Minutes } from '../../core/units/quantity.ts';
import { beatsSince } from '../../store/pulse.ts';
import { now } from '../../store/when.ts';
import type { Day } from './dayContext.ts';

const SECOND_MS = 1000;
const MS_PER_MIN = 60_000;

/** This moment, asked for again every so often. */
export function useNow(everyMs = SECOND_MS): When {
  const [at, setAt] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setAt(now()), everyMs);
    return () => {
      clearInterval(timer);
    };
  }, [everyMs]);
  return at;
}

/** So long ago; `atLeast`: the wall clock was set back while nobody was there. */
export interface Ago {
  readonly min: Minutes;
  readonly atLeast: boolean;
}

/** How long ago something of a batch was written, by the running clocks of the pages that were there. */
export function ago({ batch }: Pick<Day, 'batch'>, then: When, at: When): Ago {
  const last = inOrder(batch).at(-1)?.id ?? '';
  const { ms, atLeast } = sinceThen(batch, then, [...beatsSince(batch.id, last), at]);
  return { min: ms / MS_PER_MIN, atLeast };
}

/** The same as of now, asked again every second; undefined where it was not written. */
export function useAgo(day: Pick<Day, 'batch'>, then: When | undefined): Ago | undefined {
  const at = useNow();
  return then && ago(day, then, at);
}
