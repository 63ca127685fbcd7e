import type { Batch } from '../../core/batch/batchSchema.ts';
import type { BatchEvent } from '../../core/batch/eventSchema.ts';
import type { DripLineDatabase } from '../database.ts';
import { leaveEvents, putBatch } from '../tables/batches.ts';
import { withStorage } from './storage.ts';
import { troubleOf, type Trouble } from './trouble.ts';

/** After a failed write: how long until the next try, ms. */
const RETRY_MS = 4000;

/** What of a batch is not stored yet. */
interface Unstored {
  readonly batch: Batch;
  readonly said: readonly BatchEvent[];
}

/**
 * Writes down what is said of batches. Events are only ever added, so that nothing another page writes can
 * meet them; what storage refuses is tried again for as long as the page is there. `tell` is told of a batch
 * with something unstored, and of its trouble; without trouble it is stored.
 */
export class BookKeeper {
  readonly #db: DripLineDatabase;
  readonly #tell: (batch: Batch, trouble: Trouble | null) => void;
  readonly #retryMs: number;
  readonly #unstored = new Map<string, Unstored>();
  #writing: Promise<void> | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    db: DripLineDatabase,
    tell: (batch: Batch, trouble: Trouble | null) => void,
    retryMs = RETRY_MS,
  ) {
    this.#db = db;
    this.#tell = tell;
    this.#retryMs = retryMs;
  }

  /**
   * Store these events of a batch, and the batch itself where it is new. Resolves when they are stored or
   * were first refused.
   */
  write(batch: Batch, said: readonly BatchEvent[]): Promise<void> {
    const before = this.#unstored.get(batch.id)?.said ?? [];
    this.#unstored.set(batch.id, { batch, said: [...before, ...said] });
    return this.flush();
  }

  /** What this page has of a plan's batch and storage has not. */
  unstoredOf(planId: string): Batch | undefined {
    return [...this.#unstored.values()].find((u) => u.batch.plan.id === planId)?.batch;
  }

  /** A batch of which this page has something that storage has not. */
  unstored(batchId: string): Batch | undefined {
    return this.#unstored.get(batchId)?.batch;
  }

  /** Store now what is unstored. */
  flush(): Promise<void> {
    clearTimeout(this.#timer);
    this.#writing ??= this.#write().then((refused) => {
      this.#writing = undefined;
      // written down while the last of it was being stored
      return refused || this.#unstored.size === 0 ? undefined : this.flush();
    });
    return this.#writing;
  }

  /** The page is going away: hand over what is unstored in one breath. */
  leave(): void {
    for (const { batch, said } of this.#unstored.values()) leaveEvents(this.#db, batch, said);
  }

  /** True where storage refused. */
  async #write(): Promise<boolean> {
    for (;;) {
      const [next] = this.#unstored.values();
      if (!next) return false;
      const { batch, said } = next;
      try {
        await withStorage(this.#db, () => putBatch(this.#db, batch, said));
      } catch (error) {
        this.#tell(batch, troubleOf(error));
        this.#timer = setTimeout(() => void this.flush(), this.#retryMs);
        return true;
      }
      const stored = new Set(said.map((e) => e.id));
      const now = this.#unstored.get(batch.id);
      const left = now?.said.filter((e) => !stored.has(e.id)) ?? [];
      if (now && left.length > 0) this.#unstored.set(batch.id, { ...now, said: left });
      else this.#unstored.delete(batch.id);
      this.#tell(batch, null);
    }
  }
}
