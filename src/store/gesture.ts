let count = 0;

/**
 * One visit to a field, from focus to blur or Enter, or one drag. All edits of a gesture start from the plan
 * (or the colorant) as it was when the gesture began, show at once and undo as one. What is refused,
 * unfinished or escaped from is taken back: then everything is as it was.
 */
export class Gesture {
  readonly id: string;
  /**
   * where each edit starts: from the beginning of the gesture, or (steps by a key) from the edit before it
   */
  readonly builds: 'from-start' | 'on-itself';
  /** something drawn follows the pointer: until it rests only what moves is worked out */
  readonly drags: boolean;
  #back: (() => void) | undefined;
  #rest: (() => void) | undefined;
  #changed = false;

  constructor(builds: Gesture['builds'] = 'from-start', drags = false) {
    this.builds = builds;
    this.drags = drags;
    count += 1;
    this.id = `gesture-${count}`;
  }

  /** Called by what applies an edit: how to take back all that this gesture has changed there. */
  changes(back: () => void): void {
    this.#back = back;
    this.#changed = true;
  }

  /** Called by what works out no more than what moves: how to work out the rest. */
  moves(rest: () => void): void {
    this.#rest = rest;
  }

  /** What is dragged is let go of. */
  letGo(): void {
    this.#rest?.();
  }

  /** Something is otherwise than when it began. */
  get changed(): boolean {
    return this.#changed;
  }

  /** As it was when the gesture began. Nothing happens where it has changed nothing. */
  takeBack(): void {
    this.#back?.();
    this.#changed = false;
  }
}

/** A drag of something that is drawn. */
export const dragging = (): Gesture => new Gesture('from-start', true);
