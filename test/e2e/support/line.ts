import type { Locator, Page } from 'playwright-core';

const item = (page: Page, name: string): Locator =>
  page.getByRole('menuitem', { name: new RegExp(`^${name}\\b`) });

/**
 * Put something on the line of drops, in one of its ways: after what is named ("pour 2"), or as late as it
 * can stand.
 */
export async function put(
  page: Page,
  thing: string,
  way?: string,
  after?: string,
  by: 'click' | 'tap' = 'click',
): Promise<void> {
  const places =
    after === undefined
      ? (await page.getByRole('button', { name: /^Add (after|at the beginning)/ }).all()).toReversed()
      : [page.getByRole('button', { name: `Add after ${after}`, exact: true }).first()];
  for (const place of places) {
    await place[by]();
    await item(page, thing).waitFor();
    if (await item(page, thing).isEnabled()) break;
    await page.keyboard.press('Escape');
  }
  await item(page, thing)[by]();
  if (way !== undefined) await page.getByRole('menuitem', { name: way, exact: true })[by]();
  await page.getByRole('menu').waitFor({ state: 'detached' });
}

/** How the mould stands at the chosen pour, opened on its card. */
export const openTilt = (page: Page): Promise<void> =>
  page.getByRole('button', { name: /^(level|tilted)/, expanded: false }).click();

/** What is rarer, on the chosen thing's card. */
export const more = (page: Page): Promise<void> =>
  page.locator('main summary', { hasText: 'What it needs, and more' }).click();
