import { CLOCK_TASKS } from './clockTasks.ts';
import { serveTasks } from './jobs/inWorker.ts';

/** Carries plans out over and over, and looks for ways that hold, apart from the page. */
serveTasks(CLOCK_TASKS);
