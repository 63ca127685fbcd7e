import type { Outcome, Progress, Task } from '../../core/task/task.ts';

/** What can be asked for, by name: each gives its task for an input that can be posted. */
export type Tasks = Readonly<Record<string, (input: never) => Task<unknown, unknown>>>;

export type InputOf<T extends Tasks, N extends keyof T> = Parameters<T[N]>[0];
export type ValueOf<T extends Tasks, N extends keyof T> =
  ReturnType<T[N]> extends Task<unknown, infer V> ? V : never;
export type PartialOf<T extends Tasks, N extends keyof T> =
  ReturnType<T[N]> extends Task<infer P, unknown> ? P : never;

/** To whoever does the work. */
export type Ask =
  | {
      readonly say: 'start';
      readonly job: number;
      readonly task: string;
      readonly input: unknown;
      /** a newer job of the same key takes the place of this one */
      readonly key?: string;
    }
  | { readonly say: 'stop'; readonly job: number };

/** From whoever does the work: how far a job is, any number of times, and then once what became of it. */
export type Answer =
  | { readonly say: 'progress'; readonly job: number; readonly progress: Progress<unknown> }
  | { readonly say: 'end'; readonly job: number; readonly outcome: Outcome<unknown> };

/** A way to whoever does the work: a worker, or its twin in this thread. */
export interface Port {
  readonly post: (ask: Ask) => void;
  /** no answer comes after this */
  readonly close: () => void;
}

/** Opens a port: `heard` gets every answer; `broke` is called once where whoever does the work is gone. */
export type OpenPort = (heard: (answer: Answer) => void, broke: (why: string) => void) => Port;
