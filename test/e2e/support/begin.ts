import type { Page } from 'playwright-core';

/** From the shelf: a new plan from one of the beginnings. */
export async function begin(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: 'New plan' }).first().click();
  await page.getByRole('button', { name, exact: true }).click();
}
