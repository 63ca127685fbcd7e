import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';

/** Sharp, or never on the screen. */
const WAITING = 'canvas[data-swirl]:not([data-swirl="sharp"]):not([data-swirl="unseen"])';

/** Every simulated picture on the screen is there and sharp; how many there are in all. */
export async function sharp(page: Page): Promise<number> {
  const all = page.locator('canvas[data-swirl]');
  await all.first().waitFor({ state: 'attached' });
  // what has just come onto the screen says so a frame later
  await page.evaluate('new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(() => r())))');
  await page.waitForTimeout(60);
  const left = page.locator(WAITING);
  for (let i = 0; i < 400 && (await left.count()) > 0; i += 1) await page.waitForTimeout(100);
  const waiting = await left.evaluateAll((those) =>
    those.map((c) => [c.dataset['swirl'], c.getAttribute('width'), c.getAttribute('height')].join(' ')),
  );
  expect(waiting, 'pictures that do not come').to.deep.equal([]);
  return all.count();
}

export const pictureOf = (canvas: Locator): Promise<string> =>
  canvas.evaluate((element) => (element as HTMLCanvasElement).toDataURL());
