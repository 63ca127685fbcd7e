import { FACTS_TASKS } from './factsTasks.ts';
import { serveTasks } from './jobs/inWorker.ts';

/** Works out what cards say of their plans while the shelf scrolls, and looks for colorants. */
serveTasks(FACTS_TASKS);
