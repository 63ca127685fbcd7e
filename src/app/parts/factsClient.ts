import { createClient } from '../../workers/jobs/client.ts';
import type { FactsTasks } from '../../workers/factsTasks.ts';
import { inWorker } from './inWorker.ts';

/** Who works out what cards say, and looks for colorants, apart from the page. */
export const factsClient = createClient<FactsTasks>(
  inWorker(() => new Worker(new URL('../../workers/facts.worker.ts', import.meta.url), { type: 'module' })),
);
