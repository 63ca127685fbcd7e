import type { Answer, OpenPort } from '../../workers/jobs/protocol.ts';

/** A port to a worker that is made when it is first wanted. */
export const inWorker =
  (make: () => Worker): OpenPort =>
  (heard, broke) => {
    const worker = make();
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
