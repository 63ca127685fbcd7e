import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Locator, Page } from 'playwright-core';
import { serve } from '../e2e/support/serve.ts';
import { everything } from './everything.ts';
import { Random } from './random.ts';
import type { Row } from './row.ts';
import { severally } from './severally.ts';

const PLAN = 'demo-slate-beds';
/** How long anything may take to come from one tab to the other: no finding is a matter of timing, ms. */
const FOLLOWS_MS = 8000;

/**
 * Where both tabs are at once, and whether words can be added to what is there or one figure takes the
 * other's place.
 */
interface Place {
  readonly path: string;
  readonly of: 'words' | 'figure';
  /** figures from here on are sense there */
  readonly from?: number;
  /** to the field itself */
  readonly field: (page: Page) => Promise<Locator>;
}

const named = (label: string) => (page: Page) =>
  Promise.resolve(page.getByRole('textbox', { name: label, exact: true }).first());

const inDialog =
  (label: string) =>
  async (page: Page): Promise<Locator> => {
    const dialog = page.getByRole('dialog', { name: 'This plan' });
    if (!(await dialog.isVisible()))
      await page.getByRole('button', { name: 'Name, notes and units' }).click();
    return dialog.getByRole('textbox', { name: label, exact: true });
  };

/** Pages on which the colorant was chosen: another one stands open at first. */
const chosen = new WeakSet<Page>();

const inColorant =
  (label: string) =>
  async (page: Page): Promise<Locator> => {
    if (!chosen.has(page)) await page.getByRole('button', { name: /^Heather mica/ }).click();
    chosen.add(page);
    return page.getByRole('textbox', { name: label, exact: true }).first();
  };

const PLACES: readonly Place[] = [
  { path: `/plan/${PLAN}/mould`, of: 'words', field: inDialog('Notes') },
  { path: `/plan/${PLAN}/mould`, of: 'words', field: inDialog('Notes') },
  { path: `/plan/${PLAN}/mould`, of: 'words', field: inDialog('Name') },
  { path: `/plan/${PLAN}/mould`, of: 'figure', from: 240, field: named('Length') },
  { path: `/plan/${PLAN}/batter`, of: 'figure', from: 3, field: named('Superfat') },
  { path: `/plan/${PLAN}/cut`, of: 'figure', from: 20, field: named('Thickness') },
  { path: '/colorants', of: 'words', field: inColorant('Name') },
  { path: '/colorants', of: 'figure', from: 2, field: inColorant('A level teaspoon weighs') },
];

/** What happens between the other tab's words and one's own next ones. */
const BETWEEN = [
  'nothing',
  'nothing',
  'undo',
  'escape',
  'drop',
  'newer version',
  'reload of the other',
] as const;

const sleep = (ms: number): Promise<void> => new Promise((next) => setTimeout(next, ms));

/** Until it is so, or long enough. */
async function until(is: () => Promise<boolean>): Promise<boolean> {
  const end = performance.now() + FOLLOWS_MS;
  while (performance.now() < end) {
    if (await is().catch(() => false)) return true;
    await sleep(40);
  }
  return false;
}

/** The other page's change stands here: told in words where it cannot be shown. */
const told = async (page: Page): Promise<boolean> =>
  (await page.getByText(/also changed in another tab|was changed in another tab meanwhile/).count()) > 0;

/** The plan is stored; on a page of the library everything is, in a moment. */
async function stored(page: Page, place: Place): Promise<void> {
  if (place.path.startsWith('/plan'))
    await page.getByRole('status').getByText('saved', { exact: true }).waitFor({ timeout: FOLLOWS_MS });
  await sleep(900);
}

/** A newer build in the folder that is served, and this page told of it. */
async function newerVersion(page: Page, dir: string): Promise<void> {
  const worker = readFileSync(join(dir, 'sw.js'), 'utf8');
  writeFileSync(join(dir, 'sw.js'), `${worker}\n// newer ${performance.now()}`);
  await page.evaluate('navigator.serviceWorker.getRegistration().then((r) => r?.update())');
  const ready = page.getByText('A new version of Drip Line is ready');
  if (await until(() => ready.isVisible())) await page.getByRole('button', { name: 'Reload' }).click();
  await sleep(1500);
}

/** A plan file let fall on the shelf: it comes beside the one that is open, in place of nothing. */
async function dropFile(page: Page, url: string): Promise<void> {
  await page.goto(url);
  const text = readFileSync('demo/plans/slate-beds.dripline.json', 'utf8');
  await page.getByRole('article').first().waitFor();
  await page.evaluate((json) => {
    const data = new DataTransfer();
    data.items.add(new File([json], 'slate-beds.dripline.json', { type: 'application/json' }));
    document
      .querySelector('header')!
      .dispatchEvent(new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: data }));
  }, text);
  await page.getByText(/On the shelf: /).waitFor({ timeout: FOLLOWS_MS });
}

/** One case: what was typed, stored, and then nowhere or overwritten unseen; a line each. */
async function one(browser: Browser, page: string, seed: number): Promise<readonly string[]> {
  const random = new Random(seed);
  const place = random.pick(PLACES);
  const between = random.pick(BETWEEN);
  const dir = mkdtempSync(join(tmpdir(), 'drip-line-soak-open-'));
  cpSync(page, dir, { recursive: true });
  const served = await serve(true, dir);
  const context = await browser.newContext({
    serviceWorkers: between === 'newer version' || random.next() < 0.4 ? 'allow' : 'block',
  });
  context.setDefaultTimeout(12_000);
  const wrong: string[] = [];
  try {
    const shelf = await context.newPage();
    await shelf.goto(served.url);
    await shelf.getByText('Slate Beds').first().waitFor();
    const [a, b] = [await context.newPage(), await context.newPage()];
    for (const tab of [a, b]) await tab.goto(served.url + place.path);
    const figure = (n: number): string => String((place.from ?? 0) + random.whole(0, 1) + n * 2);
    const words: string[] = [];
    /** types into the field and stays in it */
    const type = async (tab: Page, n: number): Promise<string> => {
      const field = await place.field(tab);
      await field.focus();
      await tab.keyboard.press(place.of === 'words' ? 'Control+End' : 'Control+a');
      const text = place.of === 'words' ? ` w${seed}n${n}` : figure(n);
      await tab.keyboard.type(text, { delay: 8 });
      if (place.of === 'words') words.push(text.trim());
      return text.trim();
    };
    const shows = async (tab: Page, text: string): Promise<boolean> =>
      (await (await place.field(tab)).inputValue()).includes(text);

    await type(b, 1);
    await stored(b, place);
    const others = await type(a, 2);
    await stored(a, place);
    if (!(await until(async () => (await shows(b, others)) || told(b))))
      wrong.push(`"${others}" of the other tab is neither in the open field nor told`);
    const undone = new Set<string>();
    if (between === 'undo' && place.path.startsWith('/plan')) {
      await b.keyboard.press('Escape');
      await b.getByRole('button', { name: 'Undo', exact: true }).click();
      await stored(b, place);
      for (const w of words) if (!(await shows(b, w))) undone.add(w);
    }
    if (between === 'escape') {
      await b.keyboard.press('Escape');
      if (!(await until(() => shows(b, others)))) wrong.push('Escape took away what was not typed there');
    }
    if (between === 'drop') await dropFile(shelf, served.url);
    if (between === 'newer version') await newerVersion(a, dir);
    if (between === 'reload of the other') {
      await a.reload();
      chosen.delete(a);
      await sleep(1000);
    }
    await b.bringToFront();
    await type(b, 3);
    await stored(b, place).catch(() => undefined);
    const conflict = await told(b);
    for (const tab of [a, b]) await tab.close();
    await shelf.goto(served.url);
    await shelf.locator('main').first().waitFor();
    await sleep(1200);
    const { all } = await everything(shelf);
    for (const w of words)
      if (!undone.has(w) && !all.includes(w) && !conflict) wrong.push(`"${w}" is nowhere`);
    const { present } = await everything(shelf);
    const now = JSON.stringify(present);
    const atOnce = place.path.startsWith('/plan') && between !== 'undo' && !conflict;
    for (const w of words) if (atOnce && !now.includes(w)) wrong.push(`"${w}" was overwritten`);
  } catch (error) {
    wrong.push(error instanceof Error ? error.message.replaceAll(/\s+/g, ' ').slice(0, 220) : String(error));
  } finally {
    await context.close();
    served.stop();
    rmSync(dir, { recursive: true, force: true });
  }
  return wrong.map((w) => `open ${seed} (${place.path}, ${place.of}, ${between}): ${w}`);
}

/** Two tabs in one field at once, by seed. */
export async function openFields(browser: Browser, page: string, count: number, seed: number): Promise<Row> {
  const lost = await severally({ count, seed, atOnce: 2 }, (at) => one(browser, page, at));
  return { what: 'two tabs in one open field', tried: count, lost };
}
