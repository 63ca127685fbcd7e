import { readPlanFile, type PlanRead } from '../core/exchange/planFile.ts';
import type { Task } from '../core/task/task.ts';

/** Reading a file is one step: nothing of it is worth showing before it is checked. */
function* readPlan(text: string): Task<never, PlanRead> {
  yield { done: 0 };
  return readPlanFile(text);
}

export const READER_TASKS = { 'read-plan': readPlan };
export type ReaderTasks = typeof READER_TASKS;
