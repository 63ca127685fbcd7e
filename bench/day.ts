import type { Page } from 'playwright-core';
import { launch } from '../test/e2e/support/browser.ts';
import { begun, goOn, goUntil, isEnd, onScreen } from '../test/e2e/support/day.ts';
import { serve } from '../test/e2e/support/serve.ts';
import { ms, percentile, type Say } from './measure.ts';

/** From a key to the next act on the screen, stored by then, ms. */
async function actTimes(page: Page): Promise<number[]> {
  await page.evaluate(`(() => {
    globalThis.keys = [];
    addEventListener('keydown', (e) => keys.push(e.timeStamp), { capture: true });
    performance.clearMarks();
  })()`);
  await goUntil(page, isEnd);
  return page.evaluate(`performance.getEntriesByName('drip-line act').flatMap((mark) => {
    const key = keys.findLast((at) => at < mark.startTime);
    return key === undefined ? [] : [mark.startTime - key];
  })`);
}

const HOURS = 12;

/** What the page holds once it is tidied, bytes. */
async function heldBytes(page: Page): Promise<number> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('HeapProfiler.collectGarbage');
  const { usedSize } = await cdp.send('Runtime.getHeapUsage');
  await cdp.detach();
  return usedSize;
}

/** Elements that a second changes while an act is waited at. */
const changedInTen = (page: Page): Promise<number> =>
  page.evaluate(`new Promise((done) => {
    const seen = new Set();
    const watch = new MutationObserver((all) => {
      for (const { target } of all) seen.add(target.nodeType === 3 ? target.parentElement : target);
    });
    watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
    setTimeout(() => { watch.disconnect(); done(seen.size); }, 10_000);
  })`);

export async function benchDay(say: Say): Promise<void> {
  const served = await serve(true);
  const browser = await launch();
  const open = async (): Promise<Page> => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    await page.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
    await page.goto(served.url);
    await page.getByText('Slate Beds').first().waitFor();
    return page;
  };
  const page = await open();
  for (const [plan, name] of [
    ['copper-weir', 'Copper Weir, 37 acts'],
    ['basalt-columns', 'Basalt Columns, 62 screens'],
  ] as const) {
    await page.goto(`${served.url}/plan/demo-${plan}/sheet/acts`);
    await begun(page);
    await goUntil(page, ({ head }) => head === 'Water');
    const times = await actTimes(page);
    say(`${name}: from a key to the next act, median (aim: 50 ms)`, ms(percentile(times, 50)));
    say(`${name}: from a key to the next act, 95th percentile`, ms(percentile(times, 95)));
  }
  const long = await open();
  await long.clock.install();
  await long.goto(`${served.url}/plan/demo-copper-weir/sheet/acts`);
  await begun(long);
  await goUntil(long, ({ head }) => head.startsWith('Pour 2'));
  say('elements changed in ten seconds of waiting at a pour', String(await waited(long)));
  const before = await heldBytes(long);
  for (let hour = 0; hour < HOURS; hour += 1) await long.clock.runFor(3_600_000);
  const after = await heldBytes(long);
  say(`a day of ${HOURS} h, memory after to before (aim: 1)`, (after / before).toFixed(2));
  if ((await onScreen(long)).head.startsWith('Pour 2')) await goOn(long);
  await browser.close();
  served.stop();
}

async function waited(page: Page): Promise<number> {
  const changes = changedInTen(page);
  await page.clock.runFor(10_500);
  return changes;
}
