import { seeded } from '../support/random.ts';

/** Choices that are the same for the same seed. */
export class Random {
  readonly next: () => number;
  constructor(seed: number) {
    this.next = seeded(seed);
  }
  /** a whole number from low to high, both included */
  whole(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1));
  }
  pick<T>(list: readonly T[]): T {
    const found = list[this.whole(0, list.length - 1)];
    if (found === undefined) throw new RangeError('nothing to pick from');
    return found;
  }
}
