import type { Browser, Page } from 'playwright-core';
import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import { EXTREMES } from '../support/extremes.ts';
import { inStore } from '../e2e/support/stored.ts';
import type { Row } from './row.ts';

/** Where every plan is opened. */
const PAGES = ['design', 'mould', 'batter', 'colour', 'clock', 'pour-day', 'pour-day/card', 'cut'];

/** Nothing blocks the page for longer than this, ms. */
const MOST_MS = 200;

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
  for (const [name, make] of Object.entries(EXTREMES)) {
    if (only !== undefined && only !== name) continue;
    const plan = make();
    const record = {
      id: plan.id,
      name,
      changed: plan.changed,
      revision: 1,
      savedBy: 'soak',
      version: PLAN_VERSION,
      plan,
    };
    await inStore(page, 'plans', `store.put(${JSON.stringify(record)});`);
    for (const station of PAGES) {
      tried += 1;
      const faults: string[] = [];
      const noted = (error: Error): void => void faults.push(error.message);
      page.on('pageerror', noted);
      try {
        await page.goto(`${url}/plan/${plan.id}/${station}`);
        await page.locator('main h2').first().waitFor({ timeout: 60_000 });
        await page.waitForTimeout(LOOKED_MS);
        const ms = await heldMs(page);
        longest = Math.max(longest, ms);
        if (ms > MOST_MS) faults.push(`held for ${Math.round(ms)} ms`);
      } catch (error) {
        faults.push(String(error).slice(0, 200));
      }
      page.off('pageerror', noted);
      for (const fault of faults) lost.push(`${name}, ${station}: ${fault}`);
    }
    await inStore(page, 'plans', `store.delete(${JSON.stringify(plan.id)});`);
  }
  await context.close();
  return {
    what: 'plans at their limits, on every station',
    tried,
    lost,
    note: `held for ${Math.round(longest)} ms at the longest`,
  };
}
