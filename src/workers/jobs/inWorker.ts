import type { Ask, Tasks } from './protocol.ts';
import { createRunner } from './runner.ts';

/** Make this worker do these tasks. */
export function serveTasks(tasks: Tasks): void {
  // a message to oneself comes after those that wait already
  const { port1, port2 } = new MessageChannel();
  const turns: (() => void)[] = [];
  port1.onmessage = () => {
    turns.shift()?.();
  };
  const run = createRunner(tasks, postMessage, {
    now: () => performance.now(),
    later: (turn) => {
      turns.push(turn);
      port2.postMessage(null);
    },
  });
  addEventListener('message', ({ data }: MessageEvent<Ask>) => {
    run(data);
  });
}
