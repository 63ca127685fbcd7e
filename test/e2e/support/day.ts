import type { Page } from 'playwright-core';

/** What stands on the screen of a batch: its head, how far it is, and what goes on. */
export interface OnScreen {
  readonly head: string;
  readonly nth: string;
  readonly go: string;
}

export const onScreen = (page: Page): Promise<OnScreen> =>
  page.evaluate(() => ({
    head: document.querySelector('h1')?.textContent ?? '',
    nth:
      (document.querySelector('header span span')?.textContent ?? '') +
      (document.querySelector('main p')?.textContent ?? ''),
    go: [...document.querySelectorAll('footer button')].slice(1)[0]?.firstChild?.textContent ?? '',
  }));

/** From the sheet of a plan into the room of a new batch of it. Its address. */
export async function begun(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Start a batch' }).click();
  const told = page.getByRole('button', { name: 'Start it all the same' });
  await Promise.race([told.waitFor().then(() => told.click()), page.waitForURL(/\/batch\//)]);
  await page.waitForURL(/\/batch\//);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
  return new URL(page.url()).pathname;
}

/** Until something else stands on the screen than this. */
export async function changed(page: Page, from: OnScreen): Promise<OnScreen> {
  await page.waitForFunction(
    ({ head, nth, go }) =>
      (document.querySelector('h1')?.textContent ?? '') !== head ||
      (document.querySelector('header span span')?.textContent ?? '') +
        (document.querySelector('main p')?.textContent ?? '') !==
        nth ||
      ([...document.querySelectorAll('footer button')].slice(1)[0]?.firstChild?.textContent ?? '') !== go,
    from,
    { timeout: 10_000 },
  );
  return onScreen(page);
}

/** One press of a key, and what stands there then. */
export async function goOn(page: Page, key: ' ' | 'Enter' = ' '): Promise<OnScreen> {
  const before = await onScreen(page);
  await page.keyboard.press(key);
  return changed(page, before);
}

/** On, by keys alone, until something stands there; what was gone through, by its head. */
export async function goUntil(page: Page, there: (now: OnScreen) => boolean): Promise<readonly string[]> {
  const through: string[] = [];
  let now = await onScreen(page);
  for (let n = 0; !there(now) && n < 400; n += 1) {
    if (through.at(-1) !== now.head) through.push(now.head);
    now = await goOn(page, n % 2 === 0 ? ' ' : 'Enter');
  }
  return through;
}

export const isEnd = ({ head }: OnScreen): boolean => head === 'What is left over?';

/** A touch on the lower third, and what stands there then: one that comes sooner after it is wet glass. */
export async function touched(page: Page): Promise<OnScreen> {
  const before = await onScreen(page);
  await page.locator('footer button').last().tap();
  const now = await changed(page, before);
  await page.waitForTimeout(310);
  return now;
}
