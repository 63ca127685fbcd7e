import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { seriousFaults, studio } from './support/studio.ts';

const STATIONS = [
  'mould',
  'design',
  'batter',
  'colour/pots',
  'colour/ombre',
  'colour/mixing',
  'pour-day',
  'cut',
];

/** How much wider than its window, its panel or its fields anything on the page is, px. */
const overflow = (page: Page): Promise<Readonly<Record<string, number | string[]>>> =>
  page.evaluate(() => {
    const main = document.querySelector('main');
    const root = document.documentElement;
    return {
      page: root.scrollWidth - innerWidth,
      // nothing below the fold either: the wheel must not push the page off the screen
      below: root.scrollHeight - innerHeight,
      main: main ? main.scrollWidth - main.clientWidth : 0,
      // figures cut off in their fields
      clipped: [...document.querySelectorAll<HTMLInputElement>('input.field.text-right')]
        .filter((field) => field.offsetWidth > 0 && field.scrollWidth > field.clientWidth + 1)
        .map((field) => field.value),
    };
  });

const FITS = { page: 0, below: 0, main: 0, clipped: [] };

const flip = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^(Evening|Daylight) colours$/ }).click();
};

interface Audit {
  /** contrast, in both themes, is looked at in one window only: it does not depend on its size */
  readonly themes: 1 | 2;
  readonly fits?: boolean;
}

/** Each view is loaded once: it must fit, and axe-core finds no serious or critical fault. */
async function audit(page: Page, what: string, { themes, fits = true }: Audit): Promise<void> {
  if (fits) expect(await overflow(page), what).to.deep.equal(FITS);
  const rules = themes === 1 ? 'all but contrast' : 'all';
  expect(await seriousFaults(page, rules), `${what}, one theme`).to.deep.equal([]);
  if (themes === 1) return;
  await flip(page);
  expect(await seriousFaults(page, 'contrast'), `${what}, the other theme`).to.deep.equal([]);
}

for (const [name, viewport, themes] of [
  ['a 1280 x 800 window', { width: 1280, height: 800 }, 2],
  ['a tablet held upright', { width: 820, height: 1180 }, 1],
  ['a phone', { width: 390, height: 844 }, 1],
] as const)
  describe(`every view in ${name}`, () => {
    const s = studio({ viewport });

    it(`fits, and has no serious or critical fault that axe-core finds${themes === 2 ? ', in both themes' : ''}`, async () => {
      const page = s.page();
      await audit(page, 'shelf', { themes, fits: false });
      for (const station of STATIONS) {
        await s.go(`/plan/demo-slate-beds/${station}`);
        await audit(page, station, { themes });
      }
      for (const plan of ['heather-on-peat', 'beck-pool']) {
        await s.go(`/plan/demo-${plan}/colour/ombre`);
        await page.getByRole('button', { name: 'What if' }).click();
        await audit(page, `ombre of ${plan}`, { themes });
      }
      await page.goto(`${s.url()}/colorants`);
      await page.getByText('Weighing and dispersing').waitFor();
      await audit(page, 'colorants', { themes, fits: false });
      await page.getByRole('button', { name: /^Colour of .* in soap/ }).click();
      expect(await seriousFaults(page), 'colour picker').to.deep.equal([]);
      await s.go('/plan/demo-slate-beds/design');
      await page.getByRole('button', { name: /^Pour 2/ }).click();
      await page.getByRole('button', { name: 'Name, notes and units' }).click();
      expect(await seriousFaults(page), 'details').to.deep.equal([]);
    });

    it('has none in any view of the loaf, nor with the mould tilted, and still fits', async () => {
      const page = s.page();
      await s.go('/plan/demo-copper-weir/design');
      const strip = page.getByRole('button', { name: 'Show the section' });
      if (await strip.isVisible()) await strip.click();
      for (const view of ['Side', 'Plan', 'Loaf', 'Bars', 'Section']) {
        await page.getByRole('button', { name: view, exact: true }).click();
        if (themes === 2 || view === 'Bars') expect(await seriousFaults(page), view).to.deep.equal([]);
        expect((await overflow(page))['page'], view).to.equal(0);
      }
      await page.getByRole('button', { name: /^Pour 4:/ }).click();
      await page.getByRole('button', { name: 'Show it at this pour' }).click();
      await audit(page, 'tilted', { themes });
    });

    it('fits in a plan of many pots, tilts and additions', async () => {
      const page = s.page();
      for (const plan of ['copper-weir', 'bracken-bank'])
        for (const station of STATIONS) {
          await s.go(`/plan/demo-${plan}/${station}`);
          expect(await overflow(page), `${plan} ${station}`).to.deep.equal(FITS);
        }
    });

    it('the wheel moves a panel, never the page, and a panel opens at its top', async () => {
      const page = s.page();
      for (const station of ['mould', 'batter', 'colour/pots']) {
        await s.go(`/plan/demo-slate-beds/${station}`);
        await page.mouse.move(viewport.width - 80, viewport.height - 260);
        await page.mouse.wheel(0, 4000);
        await page.waitForTimeout(100);
        expect(await page.evaluate(() => document.scrollingElement?.scrollTop), station).to.equal(0);
        expect(await page.locator('main').evaluate((m) => m.scrollTop)).to.be.above(0);
      }
      await page.getByRole('link', { name: /Design/ }).click();
      await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
      expect(await page.locator('main').evaluate((m) => m.scrollTop)).to.equal(0);
      // and where it was left it is found again
      await page.goBack();
      await page.getByRole('heading', { name: 'Colour', exact: true }).waitFor();
      expect(await page.locator('main').evaluate((m) => m.scrollTop)).to.be.above(0);
    });
  });

describe('the server', () => {
  const s = studio();

  it('sends a content security policy and the other headers with every answer', async () => {
    for (const path of ['/', '/plan/x/design', '/studio.json', '/assets/none.js']) {
      const response = await fetch(s.url() + path);
      const policy = response.headers.get('content-security-policy') ?? '';
      expect(policy, path).to.contain("script-src 'self'");
      expect(policy, path).to.not.contain('unsafe');
      expect(response.headers.get('x-content-type-options'), path).to.equal('nosniff');
      expect(response.headers.get('x-powered-by'), path).to.equal(null);
    }
    expect((await fetch(`${s.url()}/assets/none.js`)).status).to.equal(404);
  });
});
