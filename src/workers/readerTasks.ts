import { readShelfFile, type ShelfRead } from '../core/exchange/shelfFile.ts';
import type { Task } from '../core/task/task.ts';

/** Reading a file is one step: nothing of it is worth showing before it is checked. */
function* readFile(text: string): Task<never, ShelfRead> {
  yield { done: 0 };
  return readShelfFile(text);
}

export const READER_TASKS = { 'read-file': readFile };
export type ReaderTasks = typeof READER_TASKS;
