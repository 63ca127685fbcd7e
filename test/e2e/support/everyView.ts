import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { FITS, overflow, STATIONS, unfoldAll } from './fits.ts';
import { inStore } from './stored.ts';
import { seriousFaults, studio } from './studio.ts';

/** Where the loaf is looked at. */
const LOAF = 'section[aria-label="Views of the loaf"]';

const flip = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^(Evening|Daylight) colours$/ }).click();
};

interface Audit {
  /**
   * contrast, in both themes, is looked at in one window only: it does not depend on its size; 0: only that
   * it fits
   */
  readonly themes: 0 | 1 | 2;
  readonly fits?: boolean;
  /** in this theme only */
  readonly onlyThis?: boolean;
  /** the part of the page that is another than in the view before */
  readonly within?: string;
}

/** Each view is loaded once: it must fit, and axe-core finds no serious or critical fault. */
async function audit(
  page: Page,
  what: string,
  { themes, fits = true, onlyThis = false, within }: Audit,
): Promise<void> {
  if (fits) expect(await overflow(page), what).to.deep.equal(FITS);
  if (themes === 0) return;
  const rules = themes === 2 ? 'all' : onlyThis ? 'of layout' : 'all but contrast';
  expect(await seriousFaults(page, rules, within), `${what}, one theme`).to.deep.equal([]);
  if (themes === 1 || onlyThis) return;
  await flip(page);
  expect(await seriousFaults(page, 'contrast', within), `${what}, the other theme`).to.deep.equal([]);
}

/** Every view must fit its window and be usable by everyone. */
export function everyView(
  name: string,
  viewport: { readonly width: number; readonly height: number },
  themes: 0 | 1 | 2,
): void {
  describe(`every view in ${name}`, () => {
    const s = studio({ viewport, opens: true });

    it(`fits, and has no serious or critical fault that axe-core finds${themes === 2 ? ', in both themes' : ''}`, async function () {
      this.timeout(240_000);
      const page = s.page();
      await audit(page, 'shelf', { themes, fits: false });
      for (const station of STATIONS) {
        await s.walk(`/plan/demo-slate-beds/${station}`);
        await unfoldAll(page);
        // the other theme has other colours in the same places: where most kinds of place are
        const both = ['design', 'colour/pots', 'sheet/acts'].includes(station);
        // the workbench round it is the same in all of them
        const within = station === 'mould' ? {} : { within: 'main' };
        await audit(page, station, { themes, ...within, ...(both ? {} : { onlyThis: true }) });
      }
      for (const plan of ['heather-on-peat', 'beck-pool']) {
        await s.walk(`/plan/demo-${plan}/colour/ombre`);
        await page.getByRole('button', { name: 'What if' }).click();
        await audit(page, `ombre of ${plan}`, { themes, within: 'main' });
      }
      await page.goto(`${s.url()}/kept`);
      await page.getByRole('heading', { name: 'In this browser' }).waitFor();
      await audit(page, 'kept', { themes });
      await page.goto(`${s.url()}/new`);
      await page.getByRole('button', { name: 'Blank', exact: true }).waitFor();
      await audit(page, 'new plan', { themes, fits: false });
      expect((await overflow(page))['page']).to.equal(0);
      await page.goto(`${s.url()}/supplies`);
      for (const kind of ['Fragrance', 'Jar', 'Jug', 'Cutter'])
        await page.getByRole('button', { name: kind, exact: true }).click();
      await page.getByRole('listitem', { name: 'New cutter' }).waitFor();
      await audit(page, 'supplies', { themes, fits: false });
      expect((await overflow(page))['page']).to.equal(0);
      await page.goto(`${s.url()}/colorants`);
      await page.getByText('Weighing and dispersing').waitFor();
      await audit(page, 'colorants', { themes, fits: false });
      await page.getByRole('button', { name: /^Colour of .* in soap/ }).click();
      if (themes > 0) expect(await seriousFaults(page), 'colour picker').to.deep.equal([]);
      await s.go('/plan/demo-slate-beds/design');
      await page.getByRole('button', { name: /^Pour 2/ }).click();
      await page.getByRole('button', { name: 'Name, notes and units' }).click();
      if (themes > 0) expect(await seriousFaults(page), 'details').to.deep.equal([]);
    });

    it('has none in any view of the loaf, nor with the mould tilted, and still fits', async () => {
      const page = s.page();
      await s.go('/plan/demo-copper-weir/design');
      const strip = page.getByRole('button', { name: 'Show the section' });
      if (await strip.isVisible()) await strip.click();
      for (const view of ['Side', 'Plan', 'Loaf', 'Bars', 'Section']) {
        await page.getByRole('button', { name: view, exact: true }).click();
        if (themes === 2 || (themes === 1 && view === 'Bars'))
          expect(await seriousFaults(page, 'all', LOAF), view).to.deep.equal([]);
        expect((await overflow(page))['page'], view).to.equal(0);
      }
      await page.getByRole('button', { name: /^Pour 4:/ }).click();
      await page.getByRole('button', { name: 'Show it at this pour' }).click();
      await audit(page, 'tilted', { themes, within: LOAF });
      // two moulds from one batch, the second on the bench
      await s.walk('/plan/demo-thrift-ledge/mould');
      await page.getByRole('button', { name: 'Round cavity, 3 in', exact: true }).click();
      await audit(page, 'two moulds', { themes });
    });

    it('fits with a decision to make, something damaged and storage that refuses', async () => {
      const page = s.page();
      await inStore(
        page,
        'plans',
        `store.get('demo-slate-beds').onsuccess = (e) => { const { plan, version } = e.target.result;
           const drafts = opening.result.transaction('drafts', 'readwrite').objectStore('drafts');
           drafts.put({ planId: plan.id, page: 'gone', base: 'older', version, past: [], future: [], plan: { ...plan, name: 'Slate Beds, another way', notes: 'two' } });
         };
         store.put({ id: 'torn' });`,
      );
      // the draft is put by a transaction of its own: this one is done after it
      await inStore(page, 'drafts', 'store.count();');
      await page.goto(s.url());
      await page.getByText('was changed in two places').waitFor();
      await page.getByText('damaged as it is stored').waitFor();
      // what axe-core would find here does not depend on the window: it looks in two of the three
      await audit(page, 'shelf', { themes: themes === 0 ? 0 : 1, fits: false });
      expect((await overflow(page))['page']).to.equal(0);
      await page.getByRole('link', { name: 'Decide' }).click();
      await page.getByRole('dialog', { name: 'Side by side' }).waitFor();
      if (themes > 0) expect(await seriousFaults(page), 'side by side').to.deep.equal([]);
      await page.getByRole('button', { name: 'Not yet' }).click();
      await page.evaluate(
        `IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError'); }`,
      );
      await page.getByRole('button', { name: 'Name, notes and units' }).click();
      await page
        .getByRole('dialog', { name: 'This plan' })
        .getByRole('textbox', { name: 'Name' })
        .fill('Full');
      await page.getByRole('button', { name: 'Done' }).click();
      await page.getByText('Not stored, and lost when this tab is closed').waitFor();
      expect(await overflow(page)).to.deep.equal(FITS);
      if (themes > 0) expect(await seriousFaults(page, 'all but contrast'), 'two bars').to.deep.equal([]);
    });

    it('fits in a plan of many pots, tilts and additions', async () => {
      const page = s.page();
      for (const plan of ['copper-weir', 'bracken-bank', 'thrift-ledge'])
        for (const station of STATIONS) {
          await s.walk(`/plan/demo-${plan}/${station}`);
          await unfoldAll(page);
          expect(await overflow(page), `${plan} ${station}`).to.deep.equal(FITS);
        }
    });

    it('the wheel moves a panel, never the page, and a panel opens at its top', async () => {
      const page = s.page();
      for (const station of ['mould', 'sheet/acts', 'sheet/jugs']) {
        await s.go(`/plan/demo-slate-beds/${station}`);
        await page.mouse.move(viewport.width - 80, viewport.height - 260);
        await page.mouse.wheel(0, 4000);
        await page.waitForTimeout(100);
        expect(await page.evaluate(() => document.scrollingElement?.scrollTop), station).to.equal(0);
        expect(await page.locator('main').evaluate((m) => m.scrollTop)).to.be.above(0);
      }
      // on a phone what is round the panel comes back as one scrolls back
      await page.waitForTimeout(400);
      await page.mouse.wheel(0, -60);
      await page.getByRole('link', { name: /Design/ }).click();
      await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
      expect(await page.locator('main').evaluate((m) => m.scrollTop)).to.equal(0);
      // and where it was left it is found again
      await page.goBack();
      await page.getByRole('link', { name: 'What is in every jug' }).waitFor();
      expect(await page.locator('main').evaluate((m) => m.scrollTop)).to.be.above(0);
    });
  });
}
