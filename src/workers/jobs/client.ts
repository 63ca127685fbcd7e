import type { Outcome, Progress } from '../../core/task/task.ts';
import type { Answer, InputOf, OpenPort, PartialOf, Port, Tasks, ValueOf } from './protocol.ts';

/** A job that was asked for. */
export interface Job<T> {
  readonly outcome: Promise<Outcome<T>>;
  /** it is not wanted any more; its outcome is that it was stopped, unless it was done before */
  readonly stop: () => void;
}

interface Wanted<P> {
  /** a newer job of the same key takes the place of this one */
  readonly key?: string;
  readonly onProgress?: (progress: Progress<P>) => void;
}

export interface Client<T extends Tasks> {
  readonly ask: <N extends keyof T & string>(
    task: N,
    input: InputOf<T, N>,
    wanted?: Wanted<PartialOf<T, N>>,
  ) => Job<ValueOf<T, N>>;
  /**
   * whoever does the work does not answer: what is under way has failed, and the next job opens the way anew
   */
  readonly giveUp: (why: string) => void;
}

interface Open {
  readonly settle: (outcome: Outcome<unknown>) => void;
  readonly onProgress: ((progress: Progress<unknown>) => void) | undefined;
}

/**
 * Asks whoever `open` leads to. The way is opened with the first job, and again after it broke; then the jobs
 * under way have failed.
 */
export function createClient<T extends Tasks>(open: OpenPort): Client<T> {
  const jobs = new Map<number, Open>();
  let port: Port | undefined;
  let last = 0;
  const heard = (answer: Answer): void => {
    const job = jobs.get(answer.job);
    if (answer.say === 'progress') {
      job?.onProgress?.(answer.progress);
      return;
    }
    jobs.delete(answer.job);
    job?.settle(answer.outcome);
  };
  const broke = (message: string): void => {
    port?.close();
    port = undefined;
    const under = [...jobs.values()];
    jobs.clear();
    for (const job of under) job.settle({ kind: 'failed', message });
  };
  return {
    giveUp: broke,
    ask: (task, input, { key, onProgress } = {}) => {
      last += 1;
      const id = last;
      const outcome = new Promise<Outcome<unknown>>((settle) => {
        jobs.set(id, { settle, onProgress: onProgress as Open['onProgress'] });
      });
      port ??= open(heard, broke);
      port.post({ say: 'start', job: id, task, input, ...(key === undefined ? {} : { key }) });
      return {
        outcome: outcome as Promise<Outcome<never>>,
        stop: () => {
          if (jobs.has(id)) port?.post({ say: 'stop', job: id });
        },
      };
    },
  };
}
