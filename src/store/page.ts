/** This page's name, a new one for every loading: whose save, whose unsaved work it is. */
export const PAGE_ID: string = crypto.randomUUID();

export const newPlanId = (): string => crypto.randomUUID();

const PREFIX = 'drip-line/page/';

/** A page that is just going away may still hold its lock: it is asked again after this long, ms. */
const GOING_MS = 250;

/** Not everywhere: without them every other page counts as gone. */
const locks = (): LockManager | undefined => (navigator as { locks?: LockManager }).locks;

let alive: Promise<void> | undefined;

/**
 * From now on until this page is gone, other pages see that it lives. It holds a lock that the browser lets
 * go with it.
 */
export function stayAlive(): Promise<void> {
  alive ??= new Promise((held) => {
    if (!locks()) {
      held();
      return;
    }
    void locks()?.request(PREFIX + PAGE_ID, () => {
      held();
      return new Promise(() => undefined);
    });
  });
  return alive;
}

async function held(): Promise<ReadonlySet<string>> {
  const all = await locks()?.query();
  return new Set(
    (all?.held ?? []).flatMap((l) => (l.name?.startsWith(PREFIX) ? [l.name.slice(PREFIX.length)] : [])),
  );
}

/** Those of these pages that are gone. This one counts as living. */
export async function gonePages(pages: readonly string[]): Promise<ReadonlySet<string>> {
  const ask = async (): Promise<readonly string[]> => {
    const living = await held();
    return pages.filter((p) => p !== PAGE_ID && !living.has(p));
  };
  const gone = await ask();
  if (gone.length === pages.filter((p) => p !== PAGE_ID).length) return new Set(gone);
  await new Promise((next) => setTimeout(next, GOING_MS));
  return new Set(await ask());
}
