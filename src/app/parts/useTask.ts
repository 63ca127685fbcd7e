import { useEffect, useMemo, useState } from 'react';
import type { Task } from '../../core/task/task.ts';
import { goneOn, TURN_MS } from '../../store/turns.ts';

/** So long a task holds the page at once, ms; one that takes longer is gone on with in turns. */
const AT_ONCE_MS = 60;

/**
 * What a task makes of something: at once where it is quick, else undefined until it is there. It is left off
 * when it is asked for of something else, or not any more.
 */
export function useTask<Of extends object, T>(of: Of, begin: (of: Of) => Task<unknown, T>): T | undefined {
  const begun = useMemo(() => {
    const task = begin(of);
    return { task, at: goneOn(task, AT_ONCE_MS) };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the same thing it makes the same
  }, [of]);
  const [later, setLater] = useState<{ readonly begun: object; readonly value: T }>();
  useEffect(() => {
    if (begun.at) return undefined;
    let timer = setTimeout(function turn() {
      const now = goneOn(begun.task, TURN_MS);
      if (now) setLater({ begun, value: now.value });
      else timer = setTimeout(turn);
    });
    return () => {
      clearTimeout(timer);
    };
  }, [begun]);
  return begun.at ? begun.at.value : later?.begun === begun ? later.value : undefined;
}
