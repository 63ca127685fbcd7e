/** A Storage for tests: what localStorage promises, in memory. */
export class MemoryStorage implements Storage {
  readonly #map = new Map<string, string>();
  get length(): number {
    return this.#map.size;
  }
  key(i: number): string | null {
    return [...this.#map.keys()][i] ?? null;
  }
  getItem(k: string): string | null {
    return this.#map.get(k) ?? null;
  }
  setItem(k: string, v: string): void {
    this.#map.set(k, v);
  }
  removeItem(k: string): void {
    this.#map.delete(k);
  }
  clear(): void {
    this.#map.clear();
  }
}
