/** Web Locks for tests: names that are held, by whoever asked first. */
export class FakeLocks {
  readonly held = new Set<string>();
  readonly request = async (name: string, work: () => Promise<unknown>): Promise<void> => {
    this.held.add(name);
    await work();
    this.held.delete(name);
  };
  readonly query = (): Promise<{ readonly held: readonly { readonly name: string }[] }> =>
    Promise.resolve({ held: [...this.held].map((name) => ({ name })) });

  /** Another page lives, until the returned function is called. */
  otherPage(page: string): () => void {
    const name = `drip-line/page/${page}`;
    this.held.add(name);
    return () => this.held.delete(name);
  }
}

/** What a browser gives a page beside its storage. */
export function givePage(): FakeLocks {
  const locks = new FakeLocks();
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  return locks;
}
