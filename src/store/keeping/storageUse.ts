export interface StorageUse {
  readonly usedBytes: number | undefined;
  readonly roomBytes: number | undefined;
  /** the browser has promised not to clear it by itself; undefined: it does not say */
  readonly lasting: boolean | undefined;
}

const manager = (): StorageManager | undefined => (navigator as { storage?: StorageManager }).storage;

/** How much is stored for this site, and how much could be. */
export async function storageUse(): Promise<StorageUse> {
  try {
    const [estimate, lasting] = await Promise.all([manager()?.estimate(), manager()?.persisted()]);
    return { usedBytes: estimate?.usage, roomBytes: estimate?.quota, lasting };
  } catch {
    return { usedBytes: undefined, roomBytes: undefined, lasting: undefined };
  }
}

/** Ask the browser not to clear what is stored by itself. True where it promises. */
export async function askToLast(): Promise<boolean> {
  try {
    return (await manager()?.persist()) ?? false;
  } catch {
    return false;
  }
}
