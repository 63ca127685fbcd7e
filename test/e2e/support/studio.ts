import { AxeBuilder } from '@axe-core/playwright';
import { expect } from 'chai';
import type { Browser, BrowserContext, Locator, Page } from 'playwright-core';
import { launch } from './browser.ts';
import { serve, type Served } from './serve.ts';

export interface Studio {
  readonly page: () => Page;
  readonly context: () => BrowserContext;
  readonly url: () => string;
  /** another tab of the same browser, at a path */
  readonly tab: (path: string) => Promise<Page>;
  readonly go: (path: string) => Promise<void>;
  /** to a station, within the page, as its links go: nothing is loaded anew */
  readonly walk: (path: string) => Promise<void>;
}

/** Requests that left the machine, and errors the page reported: both must stay empty in every test. */
function watch(context: BrowserContext, url: string, faults: string[]): void {
  context.on('request', (request) => {
    const to = request.url();
    if (!to.startsWith(url) && !to.startsWith('data:') && !to.startsWith('blob:'))
      faults.push(`request to ${to}`);
  });
  context.on('page', (page) => {
    page.on('pageerror', (error) => faults.push(`error: ${error.message}`));
    page.on('console', (message) => {
      if (message.type() === 'error') faults.push(`console: ${message.text()}`);
    });
  });
}

/**
 * A browser on the served product, a fresh profile for each test, with the demo studio or an empty shelf. A
 * test begins on the shelf with `opens`; without it nothing is open yet, and the shelf was filled before, in
 * another profile that this one begins as. After every test: no request has left the machine, no page error,
 * nothing the security policy refused.
 */
export function studio({
  demo = true,
  viewport = { width: 1280, height: 800 },
  /** the workbench has explained itself in this browser before */
  introduced = true,
  opens = false,
  touch = false,
} = {}): Studio {
  let served: Served;
  let browser: Browser;
  let context: BrowserContext;
  let page: Page;
  let faults: string[] = [];
  /** what a browser keeps once the shelf was seen in it */
  let kept: Awaited<ReturnType<BrowserContext['storageState']>> | undefined;

  const openShelf = async (on: Page): Promise<void> => {
    await on.goto(served.url);
    await on
      .getByText(demo ? 'Slate Beds' : 'An empty shelf')
      .first()
      .waitFor();
  };
  before(async () => {
    served = await serve(demo);
    browser = await launch();
    if (opens) return;
    const first = await browser.newContext({ viewport, serviceWorkers: 'block' });
    await openShelf(await first.newPage());
    kept = await first.storageState({ indexedDB: true });
    await first.close();
  });
  beforeEach(async () => {
    faults = [];
    context = await browser.newContext({
      viewport,
      hasTouch: touch,
      reducedMotion: 'reduce',
      acceptDownloads: true,
      // held builds are tried in a test of their own: elsewhere they would only cost time
      serviceWorkers: 'block',
      ...(kept ? { storageState: kept } : {}),
    });
    if (introduced)
      await context.addInitScript("try { localStorage.setItem('drip-line/introduced', 'yes'); } catch {}");
    context.setDefaultTimeout(30_000);
    watch(context, served.url, faults);
    page = await context.newPage();
    if (opens) await openShelf(page);
  });
  afterEach(async () => {
    await context.close();
    expect(faults).to.deep.equal([]);
  });
  after(async () => {
    await browser.close();
    served.stop();
  });

  return {
    page: () => page,
    context: () => context,
    url: () => served.url,
    tab: async (path) => {
      const other = await context.newPage();
      await other.goto(served.url + path);
      return other;
    },
    go: async (path) => {
      await page.goto(served.url + path);
      await page.locator('main h2').first().waitFor();
    },
    walk: async (path) => {
      await page.evaluate(
        `history.pushState(null, '', ${JSON.stringify(path)}); dispatchEvent(new PopStateEvent('popstate', { state: null }))`,
      );
      // the link to where one is says so once that is drawn
      await page
        .locator(`a[href="${path.replace(/#.*/, '')}"][aria-current="page"]`)
        .first()
        .waitFor({ state: 'attached' });
      await page.locator('main h2').first().waitFor();
    },
  };
}

export const saved = (page: Page): Promise<void> =>
  page.getByRole('status').getByText('saved', { exact: true }).waitFor();

/** Open a part of a station that is folded. */
export async function unfold(page: Page, title: string): Promise<void> {
  const summary = page.locator('main summary').filter({ has: page.getByText(title, { exact: true }) });
  await summary.waitFor();
  if (await summary.evaluate((it) => !it.parentElement!.hasAttribute('open'))) await summary.click();
}

/** A pot's line under Colour, with its card open. */
export async function openPot(page: Page, letter: string): Promise<Locator> {
  const pot = page.getByRole('listitem', { name: `Pot ${letter}`, exact: true });
  const row = pot.getByRole('button').first();
  if ((await row.getAttribute('aria-expanded')) === 'false') await row.click();
  return pot;
}

/** Type into a labelled field as a maker would, and leave it. */
export async function type(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' }).first();
  await field.fill(text);
  await field.press('Enter');
  await field.blur();
}

export const fieldValue = (page: Page, label: string | RegExp): Promise<string> =>
  page
    .getByRole('textbox', { name: label, exact: typeof label === 'string' })
    .first()
    .inputValue();

/**
 * Which of axe-core's rules are asked for: contrast costs most of the time and depends on the theme alone.
 */
export type Rules = 'all' | 'contrast' | 'all but contrast' | 'of layout';

/** What depends on the size of the window: the rest is the same page, audited in another. */
const OF_LAYOUT = ['target-size', 'scrollable-region-focusable', 'aria-hidden-focus', 'nested-interactive'];

const auditor = (page: Page, rules: Rules, within: string | undefined): AxeBuilder => {
  // no page of ours has frames: nothing to gather from others
  const axe = new AxeBuilder({ page }).setLegacyMode();
  if (within !== undefined) axe.include(within);
  if (rules === 'contrast') return axe.withRules(['color-contrast']);
  if (rules === 'of layout') return axe.withRules(OF_LAYOUT);
  return rules === 'all' ? axe : axe.disableRules(['color-contrast']);
};

/**
 * Serious and critical faults that axe-core finds on a page, or within the part of it that is new since it
 * was last looked at.
 */
export async function seriousFaults(
  page: Page,
  rules: Rules = 'all',
  within?: string,
): Promise<readonly string[]> {
  const { violations } = await auditor(page, rules, within).analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(' | ')}`);
}
