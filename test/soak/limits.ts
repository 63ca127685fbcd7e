import type { Browser, Page } from 'playwright-core';
import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import { EXTREMES } from '../support/extremes.ts';
import { inStore } from '../e2e/support/stored.ts';
import type { Row } from './row.ts';

/** Where every plan is opened. */
const PAGES = ['design', 'mould', 'batter', 'colour', 'clock', 'sheet', 'sheet/card', 'cut'];

/** A plan of a few pours. */
const PLAIN = 'demo-slate-beds';

/**
 * Nothing blocks the page for longer than this, ms, beyond what opening a plan of a few pours takes on the
 * same machine: scripts are read, and the page is drawn for the first time.
 */
const MOST_MS = 200;

/** What is held for longer is opened so often again: a machine that does other things only adds to it. */
const AGAIN = 2;

/** How long a page is looked at, ms. */
const LOOKED_MS = 2500;

/** The longest that the page was held since it was opened, ms. */
const heldMs = (page: Page): Promise<number> => page.evaluate('Math.max(0, ...window.held)');

/** Every plan that is grown to its limits, on every station: how long the page is held at the longest. */
export async function limits(browser: Browser, url: string, only: string | undefined): Promise<Row> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  await context.addInitScript(`
    localStorage.setItem('drip-line/introduced', 'yes');
    window.held = [];
    new PerformanceObserver((list) => window.held.push(...list.getEntries().map((e) => e.duration)))
      .observe({ type: 'longtask', buffered: true });`);
  const page = await context.newPage();
  await page.goto(url);
  await page.getByText('Slate Beds').first().waitFor();
  const lost: string[] = [];
  let tried = 0;
  let longest = 0;
  /** opened by its address; how long the page was held, and what went wrong */
  const opened = async (id: string, station: string): Promise<{ ms: number; faults: readonly string[] }> => {
    const faults: string[] = [];
    const noted = (error: Error): void => void faults.push(error.message);
    page.on('pageerror', noted);
    let ms = 0;
    try {
      await page.goto(`${url}/plan/${id}/${station}`);
      await page.locator('main h2').first().waitFor({ timeout: 60_000 });
      await page.waitForTimeout(LOOKED_MS);
      ms = await heldMs(page);
    } catch (error) {
      faults.push(String(error).slice(0, 200));
    }
    page.off('pageerror', noted);
    return { ms, faults };
  };
  const plain = new Map<string, number>();
  for (const station of PAGES) plain.set(station, (await opened(PLAIN, station)).ms);
  for (const [name, make] of Object.entries(EXTREMES)) {
    if (only !== undefined && only !== name) continue;
    const plan = make();
    const { id, changed } = plan;
    const record = { id, name, changed, revision: 1, savedBy: 'soak', version: PLAN_VERSION, plan };
    await inStore(page, 'plans', `store.put(${JSON.stringify(record)});`);
    for (const station of PAGES) {
      tried += 1;
      let more = Infinity;
      let faults: readonly string[] = [];
      for (let time = 0; time <= AGAIN && more > MOST_MS && faults.length === 0; time += 1) {
        const now = await opened(id, station);
        ({ faults } = now);
        more = Math.min(more, Math.round(now.ms - (plain.get(station) ?? 0)));
      }
      longest = Math.max(longest, more);
      for (const fault of faults) lost.push(`${name}, ${station}: ${fault}`);
      if (more > MOST_MS) lost.push(`${name}, ${station}: held for ${more} ms more than a plain plan`);
    }
    await inStore(page, 'plans', `store.delete(${JSON.stringify(id)});`);
  }
  await context.close();
  return {
    what: 'plans at their limits, on every station',
    tried,
    lost,
    note: `held for ${longest} ms at the longest, beyond a plain plan’s ${Math.round(Math.max(...plain.values()))}`,
  };
}
