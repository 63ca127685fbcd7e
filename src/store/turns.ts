import type { Task } from '../core/task/task.ts';

/** So long a task is gone on with before the page does what else it has to, ms. */
export const TURN_MS = 25;

/** A task gone on with for so long: its value once it is done, undefined while it is not. */
export function goneOn<T>(task: Task<unknown, T>, forMs: number): { readonly value: T } | undefined {
  const until = performance.now() + forMs;
  do {
    const step = task.next();
    if (step.done) return { value: step.value };
  } while (performance.now() < until);
  return undefined;
}
