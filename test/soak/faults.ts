import type { Browser, Page } from 'playwright-core';
import { begin } from '../e2e/support/begin.ts';
import { Random } from './random.ts';
import type { Row } from './row.ts';
import { severally } from './severally.ts';
import { FAULTS, faultScript, type FaultName } from './storageFaults.ts';

const NAMES = Object.keys(FAULTS) as FaultName[];
/** Stations that draw, compute and simulate in workers while storage fails. */
const STATIONS = ['mould', 'design', 'batter', 'colour/ombre', 'clock/ways', 'sheet', 'cut'] as const;

/** A part that cannot be shown, or a picture that never comes. */
const broken = (page: Page) => page.getByText(/could not be (loaded|shown|worked out|looked for)/);

const sleep = (ms: number): Promise<void> => new Promise((next) => setTimeout(next, ms));

/** Nothing at all on the page, or "Opening" for ever. */
async function blank(page: Page): Promise<boolean> {
  const words = (await page.locator('body').innerText()).trim();
  return words.length < 20 || /^Opening/.test(words);
}

const bar = (page: Page) => page.getByRole('alert').filter({ hasText: /Not stored|Storage cannot be used/ });

/** Rename the open plan. */
async function rename(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Name, notes and units' }).click();
  await page.getByRole('dialog', { name: 'This plan' }).getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('button', { name: 'Done' }).click();
}

/** One fault, from the start of the page or in the middle of work: what went wrong, a line each. */
async function one(browser: Browser, url: string, seed: number): Promise<readonly string[]> {
  const random = new Random(seed);
  const name = NAMES[seed % NAMES.length] ?? 'open fails';
  const from = random.pick(['start', 'later'] as const);
  const wrong: string[] = [];
  const context = await browser.newContext({ serviceWorkers: 'block', acceptDownloads: true });
  context.setDefaultTimeout(12_000);
  try {
    const page = await context.newPage();
    page.on('pageerror', (error) => wrong.push(`error on the page: ${error.message.slice(0, 120)}`));
    // a plan that was stored while all was well
    await page.goto(url);
    await page.getByText('Slate Beds').first().waitFor();
    await page.addInitScript(faultScript(name, from));
    // a database that is open already is not opened again
    const harmless = name === 'localStorage denied' || (name.startsWith('open') && from === 'later');
    const place = random.pick(['shelf', 'plan', 'plan', 'new'] as const);
    const station = random.pick(STATIONS);
    await page.goto(place === 'plan' ? `${url}/plan/demo-beck-pool/${station}` : url);
    await sleep(from === 'start' ? 6000 : 800);
    // a slow machine is no fault
    for (let tries = 0; tries < 40 && (await blank(page)); tries += 1) await sleep(250);
    if (await blank(page)) wrong.push('a blank page');
    if ((await broken(page).count()) > 0) wrong.push(`a part of ${station} cannot be shown`);
    await page.evaluate('window.broken = true');
    if (place === 'new') {
      await begin(page, 'Blank');
      await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor({ timeout: 15_000 });
    }
    const inPlan = await page.getByRole('button', { name: 'Name, notes and units' }).isVisible();
    if (inPlan) {
      await rename(page, `Soak ${seed}`);
      await sleep(1500);
      if (!harmless) {
        await bar(page).waitFor({ timeout: 9000 });
        const [file] = await Promise.all([
          page.waitForEvent('download'),
          page.getByRole('button', { name: 'Export what is not stored' }).click(),
        ]);
        if (!file.suggestedFilename().startsWith(`soak-${seed}`))
          wrong.push(`exported ${file.suggestedFilename()}`);
        // a question before closing
        const asked = page.waitForEvent('dialog', { timeout: 5000 }).catch(() => undefined);
        await page.locator('body').click({ position: { x: 2, y: 300 } });
        void page.close({ runBeforeUnload: true });
        const question = await asked;
        if (question) await question.dismiss();
        else wrong.push('no question before closing');
        // it goes on wherever the maker goes
        if (random.next() < 0.5) {
          await page.getByRole('link', { name: 'To the shelf' }).click();
          await page.getByRole('article', { name: `Soak ${seed}` }).waitFor();
        }
      }
    } else if (!harmless && from === 'start' && !/refused/.test(name) && name !== 'both full')
      await bar(page).waitFor({ timeout: 9000 });
    await page.evaluate('window.name = "healed"');
    if (await bar(page).isVisible()) {
      // it may come back by itself in this moment
      await bar(page)
        .getByRole('button', { name: 'Try again' })
        .click({ timeout: 3000 })
        .catch(() => undefined);
      await bar(page).waitFor({ state: 'hidden', timeout: 15_000 });
    }
    await sleep(1200);
    if ((await broken(page).count()) > 0)
      wrong.push(`a part of ${station} cannot be shown once storage is well`);
    await page.goto(url);
    await page
      .getByRole('article', { name: inPlan ? `Soak ${seed}` : 'Slate Beds' })
      .first()
      .waitFor();
  } catch (error) {
    wrong.push(error instanceof Error ? error.message.replaceAll(/\s+/g, ' ').slice(0, 260) : String(error));
  } finally {
    await context.close();
  }
  return wrong.map(
    (w) => `fault ${seed} (${name}, from ${from === 'start' ? 'the start' : 'the middle'}): ${w}`,
  );
}

/** Every fault of storage, several times, in different moments and places. */
export async function faults(browser: Browser, url: string, count: number, seed: number): Promise<Row> {
  const lost = await severally({ count, seed, atOnce: 3 }, (at) => one(browser, url, at));
  return { what: 'faults of storage', tried: count, lost };
}
