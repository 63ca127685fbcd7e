import { useCallback, useEffect, useState } from 'react';

/** Whether this page runs a batch, or only watches another one that does; at first it is asked. */
export type Running = 'asking' | 'runs' | 'watches';

export interface Runs {
  readonly running: Running;
  readonly takeOver: () => void;
}

const nameOf = (batchId: string): string => `drip-line/day/${batchId}`;

/**
 * One page of this browser runs a batch, others watch: who holds the lock of its name. It is had by the first
 * that asks, and by one that waits once that is gone; taking over takes it away. Where the browser has no
 * locks, every page runs.
 */
export function useRuns(batchId: string): Runs {
  const locks = (navigator as { locks?: LockManager }).locks;
  const [running, setRunning] = useState<Running>(locks ? 'asking' : 'runs');
  const [steal, setSteal] = useState(0);
  useEffect(() => {
    if (!locks) return undefined;
    const gone = new AbortController();
    let letGo: () => void = () => undefined;
    const hold = (): Promise<void> => {
      if (gone.signal.aborted) return Promise.resolve();
      setRunning('runs');
      return new Promise((done) => {
        letGo = done;
      });
    };
    const wait = (): void => {
      locks.request(nameOf(batchId), { signal: gone.signal }, hold).catch(lost);
    };
    // taken away by another page: this one waits for it again
    const lost = (): void => {
      if (gone.signal.aborted) return;
      setRunning('watches');
      wait();
    };
    const first = steal > 0 ? { steal: true } : { ifAvailable: true };
    locks
      .request(nameOf(batchId), first, (lock) => {
        if (lock) return hold();
        lost();
        return undefined;
      })
      .catch(lost);
    return () => {
      gone.abort();
      letGo();
    };
  }, [batchId, locks, steal]);
  const takeOver = useCallback(() => setSteal((n) => n + 1), []);
  return { running, takeOver };
}
