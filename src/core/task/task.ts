/** How far a task is, 0..1, and what it has so far, where that is worth showing. */
export interface Progress<P> {
  readonly done: number;
  readonly partial?: P;
}

/**
 * Work that can be left off and gone on with: it yields wherever it may be interrupted. It knows nothing of
 * workers, clocks or signals; who runs it decides when to go on, and a task that is not wanted any more is
 * simply not gone on with.
 */
export type Task<P, T> = Generator<Progress<P>, T, void>;

/** What became of a task. */
export type Outcome<T> =
  | { readonly kind: 'done'; readonly value: T }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'cancelled'; readonly why: 'superseded' | 'stopped' };

/** Run a task to its end at once. */
export function finish<P, T>(task: Task<P, T>): T {
  for (;;) {
    const step = task.next();
    if (step.done) return step.value;
  }
}
