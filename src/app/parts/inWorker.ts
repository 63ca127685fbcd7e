import type { Answer, Ask, OpenPort, Port, Tasks } from '../../workers/jobs/protocol.ts';

/** The work in this thread, once what does it is loaded. */
const here =
  (tasks: () => Promise<Tasks>): OpenPort =>
  (heard, broke) => {
    let port: Port | undefined;
    let waiting: readonly Ask[] = [];
    let closed = false;
    Promise.all([tasks(), import('../../workers/jobs/twin.ts')]).then(
      ([list, { inThisThread }]) => {
        if (closed) return;
        port = inThisThread(list)(heard, broke);
        for (const ask of waiting) port.post(ask);
      },
      () => broke('what does the work cannot be loaded'),
    );
    return {
      post: (ask) => {
        if (port) port.post(ask);
        else waiting = [...waiting, ask];
      },
      close: () => {
        closed = true;
        port?.close();
      },
    };
  };

/**
 * A port to a worker that is made when it is first wanted. Where a browser has none to give, `tasks` are done
 * in the page, in turns; without them whoever asks does the work, or goes without it.
 */
export const inWorker =
  (make: () => Worker, tasks?: () => Promise<Tasks>): OpenPort =>
  (heard, broke) => {
    let worker: Worker;
    try {
      worker = make();
    } catch {
      if (tasks) return here(tasks)(heard, broke);
      queueMicrotask(() => broke('this browser has no worker to give'));
      return { post: () => undefined, close: () => undefined };
    }
    worker.addEventListener('message', ({ data }: MessageEvent<Answer>) => {
      heard(data);
    });
    worker.addEventListener('error', () => {
      broke('the worker stopped');
    });
    return {
      post: (ask) => {
        worker.postMessage(ask);
      },
      close: () => {
        worker.terminate();
      },
    };
  };
