import type { Outcome, Progress } from '../../core/task/task.ts';
import type { Answer, Ask, InputOf, OpenPort, PartialOf, Port, Tasks, ValueOf } from './protocol.ts';

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

type Start = Extract<Ask, { readonly say: 'start' }>;

interface Open {
  readonly settle: (outcome: Outcome<unknown>) => void;
  readonly onProgress: ((progress: Progress<unknown>) => void) | undefined;
  /** how it was asked for: where whoever did it is let go, it is asked for anew */
  readonly start: Start;
  /** it is not wanted any more, and whoever does it was told so */
  left?: 'stopped' | 'superseded';
}

/**
 * Whoever is told to leave off answers between two steps; one that has not by then is let go, ms. Where a
 * newer job of the same kind waits, it is given longer: what it has made ready is lost with it. One that has
 * not answered anything yet is only being loaded.
 */
const PATIENCE_MS = { stopped: 900, superseded: 3000, loading: 8000 } as const;

/**
 * Asks whoever `open` leads to. The way is opened with the first job, and again after it broke; then the jobs
 * under way have failed.
 */
export function createClient<T extends Tasks>(open: OpenPort): Client<T> {
  const jobs = new Map<number, Open>();
  let port: Port | undefined;
  let last = 0;
  /** it has answered since it was opened */
  let loaded = false;
  const heard = (answer: Answer): void => {
    loaded = true;
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
    loaded = false;
    const under = [...jobs.values()];
    jobs.clear();
    for (const job of under) job.settle({ kind: 'failed', message });
  };
  const post = (ask: Ask): void => {
    port ??= open(heard, broke);
    port.post(ask);
  };
  /** In the middle of a step nothing is heard: who is in one too long is let go, and the rest asked anew. */
  const leave = (id: number, why: 'stopped' | 'superseded'): void => {
    const job = jobs.get(id);
    if (!job || job.left) return;
    job.left = why;
    setTimeout(
      () => {
        if (!jobs.has(id)) return;
        port?.close();
        port = undefined;
        loaded = false;
        for (const [at, { left, settle, start }] of [...jobs]) {
          if (!left) {
            post(start);
            continue;
          }
          jobs.delete(at);
          settle({ kind: 'cancelled', why: left });
        }
      },
      loaded ? PATIENCE_MS[why] : PATIENCE_MS.loading,
    );
  };
  return {
    giveUp: broke,
    ask: (task, input, { key, onProgress } = {}) => {
      last += 1;
      const id = last;
      for (const [at, { start }] of jobs) if (key !== undefined && start.key === key) leave(at, 'superseded');
      const start: Start = { say: 'start', job: id, task, input, ...(key === undefined ? {} : { key }) };
      const outcome = new Promise<Outcome<unknown>>((settle) => {
        jobs.set(id, { settle, onProgress: onProgress as Open['onProgress'], start });
      });
      post(start);
      return {
        outcome: outcome as Promise<Outcome<never>>,
        stop: () => {
          if (!jobs.has(id)) return;
          port?.post({ say: 'stop', job: id });
          leave(id, 'stopped');
        },
      };
    },
  };
}
