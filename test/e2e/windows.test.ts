import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { FITS, overflow, STATIONS, unfoldAll } from './support/fits.ts';
import { studio } from './support/studio.ts';

/** Of the window’s height. */
const heightOf = (page: Page, selector: string): Promise<number> =>
  page
    .locator(selector)
    .first()
    .evaluate((it) => (it.checkVisibility() ? it.getBoundingClientRect().height / innerHeight : 0));

/** What can be pressed, typed in or chosen in the panel, and in one of its cards. */
const controls = (page: Page, within = 'main'): Promise<number> =>
  page.evaluate(
    (where) =>
      [
        ...document.querySelectorAll(
          ['button', 'input:not([type=hidden])', 'select', 'textarea', 'summary', 'a[href]']
            .map((kind) => `${where} ${kind}`)
            .join(),
        ),
      ].filter((it) => it.checkVisibility()).length,
    within,
  );

describe('any window', () => {
  const s = studio();

  for (const [name, viewport, least] of [
    ['at twice its size, 640 x 400', { width: 640, height: 400 }, 0.5],
    ['of a phone lying down, 844 x 390', { width: 844, height: 390 }, 0.5],
    ['of a phone, 390 x 844', { width: 390, height: 844 }, 1 / 3],
    ['of a large desk, 2560 x 1440', { width: 2560, height: 1440 }, 0.5],
  ] as const)
    it(`${name}: nothing is wider than it, and the work has its part of the height`, async function () {
      this.timeout(120_000);
      const page = s.page();
      await page.setViewportSize(viewport);
      await s.go('/plan/demo-slate-beds/design');
      for (const plan of ['slate-beds', 'copper-weir'])
        for (const station of STATIONS) {
          await s.walk(`/plan/demo-${plan}/${station}`);
          await unfoldAll(page);
          expect(await overflow(page), `${plan} ${station}`).to.deep.equal(FITS);
          expect(await heightOf(page, 'main'), `${plan} ${station}`).to.be.at.least(least);
        }
      // the views of the loaf are named in one row
      const names = page.getByRole('button', { name: /^(Section|Side|Plan|Loaf|Cut|Bars)$/ });
      const tops = await names.evaluateAll((list) =>
        list.filter((b) => b.checkVisibility()).map((b) => b.getBoundingClientRect().bottom),
      );
      if (tops.length > 0) expect(Math.max(...tops) - Math.min(...tops)).to.be.below(12);
    });

  for (const viewport of [
    { width: 390, height: 844 },
    { width: 844, height: 390 },
  ])
    it(`in the hand, ${viewport.width} x ${viewport.height}: what is round the work is small, and goes as one reads on`, async () => {
      const page = s.page();
      await page.setViewportSize(viewport);
      // tilts, waits and drops are on its line
      await s.go('/plan/demo-copper-weir/sheet/acts');
      const round = async (): Promise<number> => {
        const parts = ['header', 'nav[aria-label="Stations"]', 'nav[aria-label^="Drip line"]'];
        const heights = await Promise.all(parts.map((part) => heightOf(page, part)));
        return heights.reduce((a, b) => a + b, 0);
      };
      const before = await round();
      expect(before).to.be.within(0.1, 1 / 3);
      const scroll = (by: number): Promise<void> =>
        page.locator('main').evaluate((main, px) => main.scrollBy(0, px), by);
      await scroll(200);
      await page.locator('[data-away]').waitFor();
      expect(await round()).to.equal(0);
      await page.waitForTimeout(400);
      await scroll(-90);
      await page.locator('[data-away]').waitFor({ state: 'detached' });
      expect(await round()).to.be.closeTo(before, 0.01);
      const small = await page
        .locator('header:not(main header) .btn')
        .evaluateAll((list) =>
          list
            .filter((b) => b.checkVisibility() && b.getBoundingClientRect().height < 44)
            .map((b) => b.outerHTML),
        );
      expect(small).to.deep.equal([]);
    });
});

describe('one thing at a time', () => {
  const s = studio();

  it('a panel has few things to press: 14 in a card, 30 in Design, 12 in Batter, 20 under Colour', async () => {
    const page = s.page();
    for (const [plan, pour] of [
      ['slate-beds', 2],
      ['basalt-columns', 1],
      ['ghyll-drop', 2],
      ['larch-spires', 3],
      ['tarn-corner', 1],
    ] as const) {
      await s.go(`/plan/demo-${plan}/design`);
      await page
        .getByRole('button', { name: new RegExp(`^Pour ${pour}:`) })
        .first()
        .click();
      const card = `main section[aria-label="Pour ${pour}"]`;
      await page.locator(card).waitFor();
      expect(await controls(page, card), plan).to.be.at.most(14);
      expect(await controls(page), plan).to.be.at.most(30);
    }
    for (const plan of ['slate-beds', 'copper-weir', 'basalt-columns']) {
      await s.walk(`/plan/demo-${plan}/batter`);
      expect(await controls(page), `${plan}, Batter`).to.be.at.most(12);
      await s.walk(`/plan/demo-${plan}/colour/pots`);
      const pot = page.getByRole('listitem', { name: 'Pot B', exact: true }).getByRole('button').first();
      if ((await pot.getAttribute('aria-expanded')) === 'false') await pot.click();
      expect(await controls(page), `${plan}, Colour`).to.be.at.most(20);
    }
  });

  it('a plan that opens has the focus at its name; by Tab the drops come before the panel', async () => {
    const page = s.page();
    await page.goto(s.url());
    await page.getByRole('link', { name: 'Open Slate Beds' }).click();
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    const focused = (): Promise<string> =>
      page.evaluate(() => document.activeElement?.closest('h1, nav, main, header')?.tagName ?? '');
    expect(await focused()).to.equal('H1');
    const met: string[] = [];
    for (let i = 0; i < 90 && met.at(-1) !== 'MAIN'; i += 1) {
      await page.keyboard.press('Tab');
      const where = await page.evaluate(() => {
        const at = document.activeElement;
        return at?.closest('[aria-label^="Drip line"]') ? 'DROPS' : at?.closest('main') ? 'MAIN' : '';
      });
      if (where !== '' && met.at(-1) !== where) met.push(where);
    }
    expect(met).to.deep.equal(['DROPS', 'MAIN']);
  });
});
