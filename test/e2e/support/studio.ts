import { AxeBuilder } from '@axe-core/playwright';
import { expect } from 'chai';
import type { BrowserContext, Locator, Page } from 'playwright-core';
import { closedSoon, givenBack, lent, type Opened, type Profile } from './warmPage.ts';

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

/**
 * A browser on the served product, an empty profile for each test, with the demo studio or an empty shelf. A
 * test begins on the shelf with `opens`; without it nothing is open yet. After every test: no request has
 * left the machine, no page error, nothing the security policy refused.
 */
export function studio({
  demo = true,
  viewport = { width: 1280, height: 800 },
  /** the workbench has explained itself in this browser before */
  introduced = true,
  opens = false,
  touch = false,
} = {}): Studio {
  const profile: Profile = { demo, viewport, introduced, touch };
  let opened: Opened;
  /** the test does something with the profile itself: it is not lent again */
  let changed = false;

  beforeEach(async () => {
    changed = false;
    opened = await lent(profile);
    if (!opens) return;
    await opened.page.goto(opened.served.url);
    await opened.page
      .getByText(demo ? 'Slate Beds' : 'An empty shelf')
      .first()
      .waitFor();
  });
  afterEach(async function () {
    await givenBack(opened, profile, !changed && this.currentTest?.state === 'passed');
    expect(opened.faults.splice(0)).to.deep.equal([]);
  });
  after(closedSoon);

  return {
    page: () => opened.page,
    context: () => {
      changed = true;
      return opened.context;
    },
    url: () => opened.served.url,
    tab: async (path) => {
      const other = await opened.context.newPage();
      await other.goto(opened.served.url + path);
      return other;
    },
    go: async (path) => {
      const { page, served } = opened;
      await page.goto(served.url + path);
      await page.locator('main h2').first().waitFor();
    },
    walk: async (path) => {
      const { page } = opened;
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

/** The page shows the plan as it is, and all of its sheet: a slow machine works them out in turns. */
export const workedOut = (page: Page): Promise<void> =>
  page
    .getByText(/^(working it out…|The sheet is written…)$/)
    .first()
    .waitFor({ state: 'detached' });

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

/** Press one choice of several, and wait until it is the one: what comes of it may be worked out first. */
export async function choose(radio: Locator): Promise<void> {
  await radio.click({ force: true });
  await radio.and(radio.page().locator(':checked')).waitFor({ state: 'attached' });
  await workedOut(radio.page());
}

/** Type into a labelled field as a maker would, and leave it. */
export async function type(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' }).first();
  await field.fill(text);
  await field.press('Enter');
  await field.blur();
  await workedOut(page);
}

/** A figure of a page, by its name, once it is worked out. */
export async function factOf(page: Page, name: string | RegExp): Promise<string> {
  await workedOut(page);
  return page.locator('dl > div').filter({ hasText: name }).locator('dd').first().innerText();
}

/** What a field says once it is worked out. */
export async function fieldValue(page: Page, label: string | RegExp): Promise<string> {
  await workedOut(page);
  return page
    .getByRole('textbox', { name: label, exact: typeof label === 'string' })
    .first()
    .inputValue();
}

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
