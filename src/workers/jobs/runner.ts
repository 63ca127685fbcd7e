import type { Progress, Task } from '../../core/task/task.ts';
import type { Answer, Ask, Tasks } from './protocol.ts';

/** A task is gone on with for so long before messages are read again, ms. */
const SLICE_MS = 8;

interface Surroundings {
  /** ms, from any beginning */
  readonly now: () => number;
  /** do this once messages that wait have been read */
  readonly later: (turn: () => void) => void;
}

interface Job {
  readonly id: number;
  readonly key: string | undefined;
  readonly task: Task<unknown, unknown>;
}

/**
 * Does what is asked for, in slices and in turn, so that a job can be stopped and a newer one of the same key
 * takes the place of an older. The same in a worker and in the thread of a test.
 */
export function createRunner(
  tasks: Tasks,
  say: (answer: Answer) => void,
  { now, later }: Surroundings,
): (ask: Ask) => void {
  let jobs: readonly Job[] = [];
  let running = false;

  const without = (id: number): void => {
    jobs = jobs.filter((j) => j.id !== id);
  };
  const fail = (job: number, error: unknown): void => {
    without(job);
    const message = error instanceof Error ? error.message : String(error);
    say({ say: 'end', job, outcome: { kind: 'failed', message } });
  };
  const cancel = (job: Job, why: 'superseded' | 'stopped'): void => {
    without(job.id);
    say({ say: 'end', job: job.id, outcome: { kind: 'cancelled', why } });
  };

  /** Go on with one job until its slice is over. */
  const slice = (job: Job): void => {
    const until = now() + SLICE_MS;
    let last: Progress<unknown> | undefined;
    do {
      const step = job.task.next();
      if (step.done) {
        without(job.id);
        say({ say: 'end', job: job.id, outcome: { kind: 'done', value: step.value } });
        return;
      }
      last = step.value;
      // how far it is, is told once a slice; what there is of it already, at once
      if (last.partial === undefined) continue;
      say({ say: 'progress', job: job.id, progress: last });
      last = undefined;
    } while (now() < until);
    if (last) say({ say: 'progress', job: job.id, progress: last });
  };
  const turn = (): void => {
    const [job, ...others] = jobs;
    if (!job) {
      running = false;
      return;
    }
    // the others come before it next time
    jobs = [...others, job];
    try {
      slice(job);
    } catch (error) {
      fail(job.id, error);
    }
    later(turn);
  };

  return (ask) => {
    if (ask.say === 'stop') {
      const job = jobs.find((j) => j.id === ask.job);
      if (job) cancel(job, 'stopped');
      return;
    }
    const { job, task, input, key } = ask;
    for (const older of jobs) if (key !== undefined && older.key === key) cancel(older, 'superseded');
    const make = tasks[task] as ((given: unknown) => Task<unknown, unknown>) | undefined;
    if (!make) {
      fail(job, new Error(`there is no task "${task}"`));
      return;
    }
    jobs = [...jobs, { id: job, key, task: make(input) }];
    if (running) return;
    running = true;
    later(turn);
  };
}
