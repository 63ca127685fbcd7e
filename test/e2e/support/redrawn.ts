import type { BrowserContext, Page } from 'playwright-core';

/** Regions of the workbench by the element that holds them; nav: that of the stations. */
export type Region = 'main' | 'section' | 'nav' | 'header';

/**
 * Counts the components that React draws again, by the region that they stand in. It listens where React's
 * own developer tools do: a component was drawn when its fiber is not the one of before and carries the mark
 * of work done (bit 1).
 */
const COUNTING = `{
  const COMPONENTS = new Set([0, 1, 11, 14, 15]);
  const REGIONS = new Set(['main', 'section', 'nav', 'header']);
  const counts = {};
  const walk = (fiber, region) => {
    if (fiber.alternate !== null && fiber.child === fiber.alternate.child) return;
    const before = new Set();
    for (let f = fiber.alternate?.child ?? null; f; f = f.sibling) before.add(f);
    for (let child = fiber.child; child; child = child.sibling) {
      if (before.has(child)) continue;
      const other = child.type === 'nav' && child.memoizedProps['aria-label'] !== 'Stations';
      const within = region ?? (REGIONS.has(child.type) && !other ? child.type : undefined);
      if (within && child.alternate !== null && COMPONENTS.has(child.tag) && (child.flags & 1) === 1)
        counts[within] = (counts[within] ?? 0) + 1;
      walk(child, within);
    }
  };
  window.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    supportsFiber: true,
    renderers: new Map(),
    inject: () => 1,
    checkDCE: () => {},
    onCommitFiberUnmount: () => {},
    onPostCommitFiberRoot: () => {},
    onCommitFiberRoot: (_id, root) => walk(root.current, undefined),
  };
  window.redrawn = () => {
    const now = { ...counts };
    for (const key of Object.keys(counts)) delete counts[key];
    return now;
  };
}`;

/** To be called before the page is opened. */
export const countDrawing = (context: BrowserContext): Promise<unknown> => context.addInitScript(COUNTING);

/** What was drawn again in each region since it was asked last. */
export const redrawn = (page: Page): Promise<Partial<Record<Region, number>>> =>
  page.evaluate('window.redrawn()');
