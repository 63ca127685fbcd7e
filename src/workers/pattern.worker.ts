import { serveTasks } from './jobs/inWorker.ts';
import { patternTasks } from './patternTasks.ts';

/** Simulates pours that push others aside, apart from the page. */
serveTasks(patternTasks());
