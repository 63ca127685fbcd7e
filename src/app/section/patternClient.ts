import { createClient } from '../../workers/jobs/client.ts';
import type { PatternTasks } from '../../workers/patternTasks.ts';
import { inWorker } from '../parts/inWorker.ts';

/** Who simulates pours that push others aside, apart from the page. */
export const patternClient = createClient<PatternTasks>(
  inWorker(() => new Worker(new URL('../../workers/pattern.worker.ts', import.meta.url), { type: 'module' })),
);
