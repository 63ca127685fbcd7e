import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { launch } from './support/browser.ts';
import { killRun } from './support/killRun.ts';
import { serve } from './support/serve.ts';
import { begun, goOn, goUntil, isEnd, onScreen, touched } from './support/day.ts';
import { inStore, storedIn } from './support/stored.ts';
import { studio } from './support/studio.ts';

/** So many times a browser is killed here; the soak does it more often. */
const KILLS = 8;

const minute = async (page: Page): Promise<number> => {
  const text = (await page.getByRole('timer').textContent()) ?? '';
  const [min, sec] = text.replace('≥', '').trim().split(':').map(Number);
  return (min ?? NaN) + (sec ?? NaN) / 60;
};

/** A day at which the batter of a plan has just been divided. */
async function divided(page: Page): Promise<string> {
  const path = await begun(page);
  await goUntil(page, ({ head }) => head === 'The clock begins here');
  await goOn(page);
  return path;
}

describe('pour day: nothing is lost', () => {
  const s = studio();

  it(`the browser killed at ${KILLS} moments: what was shown as done is there, and it stands at the same act`, async function () {
    this.timeout(120_000);
    const lost = await killRun(s.url(), { plan: 'scree-steps', kills: KILLS, seed: 27 });
    expect(lost).to.deep.equal([]);
  });

  it('closed and opened again it stands at the same act, its clock right: also where the wall clock was set back', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const path = await divided(page);
    await goOn(page);
    const before = await onScreen(page);
    await page.reload();
    await page.getByRole('heading', { name: before.head }).waitFor();
    expect(await onScreen(page)).to.deep.equal(before);
    // an hour forward while the page is there: its own running clock counts
    const was = await minute(page);
    await page.evaluate(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + 3_600_000;
    });
    await page.waitForTimeout(1200);
    expect(await minute(page)).to.be.below(was + 1);
    // set back by two hours while it was closed: no less than it was is told
    await page.addInitScript(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() - 7_200_000;
    });
    await page.goto(s.url() + path);
    await page.getByRole('heading', { name: before.head }).waitFor();
    expect(await minute(page)).to.be.at.least(was - 0.02);
    expect(await minute(page)).to.be.below(was + 1);
    expect(await onScreen(page)).to.deep.equal(before);
  });

  it('two tabs: one runs, the other watches, sees what is done, and takes over', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const path = await begun(page);
    await goUntil(page, ({ head }) => head === 'Lye');
    // a figure that is being typed is nobody else's
    await page.getByLabel(/^Not .* but$/).fill('15');
    const other = await s.tab(path);
    await other.getByText('Another tab runs this batch.').waitFor();
    expect((await onScreen(other)).go).to.equal('');
    await page.getByRole('heading', { level: 1 }).focus();
    await goOn(page);
    await goOn(page);
    await other.getByRole('heading', { name: 'Dissolve the lye' }).waitFor();
    await other.getByRole('button', { name: 'Go on here' }).click();
    await other.getByRole('button', { name: 'Dissolved' }).waitFor();
    await page.getByText('Another tab runs this batch.').waitFor();
    await other.getByRole('heading', { level: 1 }).focus();
    await goOn(other);
    const there = await onScreen(other);
    await page.getByRole('heading', { name: there.head }).waitFor();
    // gone, the first has it again
    await other.close();
    await page.getByText('Another tab runs this batch.').waitFor({ state: 'detached' });
    await page.getByRole('heading', { level: 1 }).focus();
    await goOn(page);
  });

  it('to a second device as one file and back: both have all of it, without a question', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const path = await begun(page);
    await goUntil(page, ({ head }) => head === 'Oils');
    const file = async (of: Page): Promise<string> => {
      const download = of.waitForEvent('download');
      await of.getByRole('button', { name: /another device/ }).click();
      return (await download).path();
    };
    const away = await file(page);
    const device = await s
      .context()
      .browser()
      ?.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce' });
    if (!device) throw new Error('no second device');
    const second = await device.newPage();
    await second.goto(s.url());
    await second.getByText('Slate Beds').first().waitFor();
    const taken = async (on: Page, path_: string): Promise<void> => {
      const chooser = on.waitForEvent('filechooser');
      await on.getByRole('button', { name: 'Import' }).click();
      await (
        await chooser
      ).setFiles({
        name: 'day.dripline-batch.json',
        mimeType: 'application/json',
        buffer: readFileSync(path_),
      });
      await on
        .getByText(/Batches kept/)
        .first()
        .waitFor();
    };
    await taken(second, away);
    await second.getByRole('link', { name: /^Batch of/ }).click();
    await second.getByRole('heading', { name: 'Oils' }).waitFor();
    await second.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
    await goOn(second);
    const there = await onScreen(second);
    // meanwhile something was done at home, too
    await page.getByRole('heading', { level: 1 }).focus();
    await goOn(page);
    await page.goto(s.url());
    await page.getByText('Slate Beds').first().waitFor();
    await taken(page, await file(second));
    await page.goto(s.url() + path);
    await page.getByRole('heading', { name: there.head }).waitFor();
    expect((await onScreen(page)).nth).to.equal(there.nth);
    const events = await storedIn<{ readonly value: { readonly does: string; readonly act?: string } }>(
      page,
      'events',
    );
    expect(events.filter((e) => e.value.does === 'done' && e.value.act === 'oils')).to.have.length(2);
    await device.close();
  });

  it('the plan changed and deleted meanwhile: the batch goes on with the plan that it began with', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const path = await begun(page);
    await goUntil(page, ({ head }) => head === 'Lye');
    const before = await onScreen(page);
    await inStore(page, 'plans', `store.delete('demo-slate-beds');`);
    await page.goto(s.url() + path);
    await page.getByRole('heading', { name: 'Lye' }).waitFor();
    await page.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
    expect(await onScreen(page)).to.deep.equal(before);
    await goOn(page);
    expect((await onScreen(page)).go).to.equal('Weighed');
  });

  it('the same plan is made many times; one of which nothing is done yet is gone on with', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const first = await begun(page);
    await s.go('/plan/demo-slate-beds/sheet/acts');
    expect(await begun(page)).to.equal(first);
    await goUntil(page, ({ head }) => head === 'Lye');
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const second = await begun(page);
    expect(second).to.not.equal(first);
    await page.getByRole('link', { name: /Whose turn it is: 2 batches/ }).click();
    await page.getByRole('link', { name: /Slate Beds.*Lye/ }).waitFor();
    expect(await page.getByRole('main').getByRole('link').count()).to.equal(2);
    await page.goto(s.url());
    expect(await page.getByRole('list', { name: 'Batches' }).getByRole('link').count()).to.be.at.least(0);
    await page.getByRole('list', { name: 'Batches' }).getByRole('link').nth(1).waitFor();
  });

  it('storage full: it goes on, says so, and can be taken away as a file', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    await begun(page);
    await goUntil(page, ({ head }) => head === 'Water');
    await page.evaluate(`(() => {
      const put = IDBObjectStore.prototype.put;
      globalThis.heal = () => { IDBObjectStore.prototype.put = put; };
      IDBObjectStore.prototype.put = () => { throw new DOMException('no room', 'QuotaExceededError'); };
    })()`);
    await goOn(page);
    await page.getByRole('alert').filter({ hasText: 'Not stored' }).waitFor();
    expect((await onScreen(page)).head).to.equal('Lye');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: /another device/ }).click();
    expect(readFileSync(await (await download).path(), 'utf8')).to.match(/"act": "water"/);
    await page.evaluate('heal()');
    await page.getByRole('alert').filter({ hasText: 'Not stored' }).waitFor({ state: 'detached' });
    await page.reload();
    await page.getByRole('heading', { name: 'Lye' }).waitFor();
  });

  it('an address of no batch, and one that is damaged, say so', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const path = await begun(page);
    await page.goto(`${s.url()}/batch/nowhere`);
    await page.getByText('This batch is not kept in this browser.').waitFor();
    await inStore(
      page,
      'batches',
      `store.openCursor().onsuccess = (e) => { const c = e.target.result; if (c) { c.update({ ...c.value, value: { ...c.value.value, plan: 7 } }); c.continue(); } };`,
    );
    await page.goto(s.url() + path);
    await page.getByText('This batch cannot be read as it is stored.').waitFor();
  });
});

describe('pour day without its server', () => {
  it('goes on by touch to its end when it is stopped half way', async function () {
    this.timeout(120_000);
    const served = await serve(true);
    const browser = await launch();
    try {
      const page = await browser.newPage({ viewport: { width: 390, height: 844 }, hasTouch: true });
      await page.goto(served.url);
      await page.getByText('Slate Beds').first().waitFor();
      await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
      });
      await page.goto(`${served.url}/plan/demo-scree-steps/sheet/acts`);
      const path = await begun(page);
      while ((await touched(page)).head !== 'Oils');
      served.stop();
      let before = await onScreen(page);
      while (!before.head.startsWith('Pour 2')) before = await touched(page);
      await page.goto(served.url + path);
      await page.getByRole('heading', { name: before.head }).waitFor();
      await page.getByRole('link', { name: 'All weights' }).click();
      await page.getByRole('heading', { name: 'All weights' }).waitFor();
      await page.getByRole('link', { name: 'Back to the act' }).click();
      await page.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
      while (!isEnd(await touched(page)));
    } finally {
      await browser.close();
      served.stop();
    }
  });
});
