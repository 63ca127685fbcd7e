import { createClient } from '../../workers/jobs/client.ts';
import type { ClockTasks } from '../../workers/clockTasks.ts';
import { inWorker } from '../parts/inWorker.ts';

/** Who carries plans out over and over, apart from the page. */
export const clockClient = createClient<ClockTasks>(
  inWorker(() => new Worker(new URL('../../workers/clock.worker.ts', import.meta.url), { type: 'module' })),
);
