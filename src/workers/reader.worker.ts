import { serveTasks } from './jobs/inWorker.ts';
import { READER_TASKS } from './readerTasks.ts';

/** Reads plan files apart from the page, which stays free to be used meanwhile. */
serveTasks(READER_TASKS);
