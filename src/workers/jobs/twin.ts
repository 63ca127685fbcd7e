import type { OpenPort, Tasks } from './protocol.ts';
import { createRunner } from './runner.ts';

/**
 * The worker's twin in this thread: for tests, and where a browser has no worker to give. What is posted is
 * copied, as it would be.
 */
export const inThisThread =
  (tasks: Tasks): OpenPort =>
  (heard) => {
    let closed = false;
    const run = createRunner(
      tasks,
      (answer) => {
        const copy = structuredClone(answer);
        queueMicrotask(() => {
          if (!closed) heard(copy);
        });
      },
      { now: () => performance.now(), later: (turn) => setTimeout(turn, 0) },
    );
    return {
      post: (ask) => {
        const copy = structuredClone(ask);
        queueMicrotask(() => {
          if (!closed) run(copy);
        });
      },
      close: () => {
        closed = true;
      },
    };
  };
