import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { readFileSync } from 'node:fs';
import { readBatchFile } from '../../src/core/exchange/batchFile.ts';
import { batchJson } from '../../src/core/making/batchJson.ts';
import type { Batch } from '../../src/core/batch/batchSchema.ts';
import { happenedIn } from '../../src/core/batch/happened.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { jugLedger } from '../../src/core/procedure/jugLedger.ts';
import { begun, changed, goOn, goUntil, isEnd, onScreen, touched } from './support/day.ts';
import { seriousFaults, studio } from './support/studio.ts';
import { overflow, FITS } from './support/fits.ts';

const DEMOS = [
  'slate-beds',
  'copper-weir',
  'heather-on-peat',
  'beck-pool',
  'basalt-columns',
  'bracken-bank',
  'chalk-scar',
  'cotton-grass',
  'ghyll-drop',
  'larch-spires',
  'peat-furrows',
  'ripple-sill',
  'scree-slump',
  'scree-steps',
  'tarn-corner',
  'thrift-ledge',
];

/** The batch on the screen, as it leaves in its file. */
async function exported(page: Page): Promise<Batch> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /another device/ }).click();
  const read = readBatchFile(readFileSync(await (await download).path(), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
}

describe('pour day: a batch from start to end', () => {
  const s = studio();

  for (const plan of DEMOS)
    it(`${plan} by keyboard alone: from the sheet to its end, and it ends with the plan’s own book`, async function () {
      this.timeout(180_000);
      const page = s.page();
      await s.go(`/plan/demo-${plan}/sheet/acts`);
      await page.getByRole('button', { name: 'Start a batch' }).focus();
      await page.keyboard.press('Enter');
      await page.waitForFunction(
        () => document.querySelector('dialog[open]') !== null || location.pathname.startsWith('/batch/'),
      );
      if (!page.url().includes('/batch/')) await page.keyboard.press('Enter');
      await page.waitForURL(/\/batch\//);
      await page.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
      const through = await goUntil(page, isEnd);
      expect(through[0]).to.equal('Make ready');
      expect(through).to.include('The clock begins here');
      while ((await onScreen(page)).go !== 'Finished') await goOn(page);
      await page.keyboard.press('Enter');
      await page.getByRole('heading', { name: 'Finished' }).waitFor();
      const batch = await exported(page);
      const state = batchJson(batch) as {
        readonly holds_g: Readonly<Record<string, number>>;
        readonly ending: { readonly how: string };
        readonly next: unknown;
      };
      expect(state.next).to.equal(null);
      expect(state.ending.how).to.equal('finished');
      const book = jugLedger(computePlan(batch.plan, happenedIn(batch, batch.plan)));
      for (const { vessels } of book)
        for (const { vessel } of vessels) {
          const last = book.flatMap((e) => e.vessels).findLast((v) => v.vessel.key === vessel.key);
          expect(state.holds_g[vessel.key] ?? 0, vessel.key).to.be.closeTo(last?.holdsG ?? 0, 0.01);
        }
    });
});

describe('pour day: one act at a time', () => {
  const s = studio();

  it('lye goes on only with its weight accepted: more is refused with its number, what was typed stays', async () => {
    const page = s.page();
    await s.go('/plan/demo-copper-weir/sheet/acts');
    await begun(page);
    await goUntil(page, ({ head }) => head === 'Lye');
    expect((await onScreen(page)).go).to.equal('It shows 156 g');
    const field = page.getByLabel('Not 156 g, but');
    await field.fill('158');
    await page.getByRole('button', { name: 'Accept' }).click();
    await page
      .getByRole('alert')
      .filter({ hasText: '2 g more sodium hydroxide than these oils can use' })
      .waitFor();
    expect(await field.inputValue()).to.equal('158');
    expect((await onScreen(page)).go).to.equal('It shows 156 g');
    await field.fill('155 g');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Weighed' }).waitFor();
    await page.getByRole('link', { name: 'All weights' }).click();
    await page.getByText('weighed 155 g').waitFor();
    await page.getByRole('link', { name: 'Back to the act' }).click();
    await goOn(page);
    expect((await onScreen(page)).head).to.equal('Dissolve the lye');
  });

  it('back only looks; what was not done after all is taken back, and not under what stands on it', async () => {
    const page = s.page();
    await s.go('/plan/demo-copper-weir/sheet/acts');
    await begun(page);
    await goUntil(page, ({ head }) => head === 'Dissolve the lye');
    await page.keyboard.press('Backspace');
    await page.getByRole('heading', { name: 'Lye', exact: true }).waitFor();
    await page.keyboard.press('Backspace');
    await page.getByRole('heading', { name: 'Water' }).waitFor();
    await page.getByText('First take back: Lye').waitFor();
    await page.getByRole('button', { name: 'Forward' }).click();
    await page.getByRole('button', { name: 'Not done after all' }).click();
    await page.getByRole('button', { name: 'Weighed' }).waitFor();
    expect((await onScreen(page)).head).to.equal('Lye');
    await goOn(page);
    expect((await onScreen(page)).head).to.equal('Dissolve the lye');
  });

  it('what goes without is passed over with a reason, nothing silently', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    await begun(page);
    await page.getByRole('checkbox', { name: /Goggles/ }).click();
    await page.getByRole('checkbox', { name: /Goggles/, checked: true }).waitFor();
    const room = page.getByRole('listitem').filter({ hasText: 'Room aired' });
    await room.getByRole('button', { name: 'without' }).click();
    await room.getByRole('button', { name: 'Pass over' }).isDisabled();
    await room.getByLabel('Why it goes without').fill('out in the yard');
    await page.keyboard.press('Enter');
    await page.getByText('Passed over: out in the yard').waitFor();
    await goUntil(page, ({ head }) => head === 'Water');
    await page.getByRole('link', { name: 'What is laid out' }).click();
    await page.getByText('Passed over: out in the yard').waitFor();
  });

  it('a reading in one tap moves the rest; a timer runs; another act can come first', async () => {
    const page = s.page();
    await s.go('/plan/demo-copper-weir/sheet/acts');
    await begun(page);
    await goUntil(page, ({ head }) => head.startsWith('Pour 1'));
    await page
      .getByRole('group', { name: 'Jug A is' })
      .getByRole('button', { name: 'thick', exact: true })
      .click();
    await page
      .getByRole('region', { name: 'Expected as it goes now' })
      .getByText(/too thick/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Set a timer' }).click();
    await page.getByRole('button', { name: '3 min', exact: true }).click();
    await page
      .getByRole('region', { name: 'Timers' })
      .getByText(/2 min 5\d s/)
      .waitFor();
    await page.getByRole('button', { name: 'Something else first' }).click();
    const other = page.getByRole('listitem').filter({ hasText: 'Colour B, Weir copper, pale' });
    await other.getByText(/The day ends/).waitFor();
    await other.getByRole('button', { name: 'This first' }).click();
    await page.getByRole('heading', { name: 'Colour B, Weir copper, pale' }).waitFor();
    await goOn(page);
    await page.keyboard.press(' ');
    await page.getByRole('heading', { name: /^Pour 1/ }).waitFor();
    await page.getByRole('button', { name: 'Stop: 3 min' }).click();
    await page.getByRole('button', { name: 'Stop: 3 min' }).waitFor({ state: 'detached' });
  });

  it('is thrown away with the reason at any act', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    const path = await begun(page);
    await goUntil(page, ({ head }) => head === 'Oils');
    await page.getByRole('link', { name: 'End this batch' }).click();
    await page.getByRole('button', { name: 'Throw it away…' }).click();
    await page.getByLabel('Why is it thrown away?').fill('the scale stood still');
    await page.getByRole('button', { name: 'Thrown away' }).click();
    await page.getByRole('heading', { name: 'Thrown away' }).waitFor();
    await page.getByText('the scale stood still').waitFor();
    await page.getByRole('link', { name: 'To the shelf' }).last().click();
    await page.getByRole('link', { name: /^Batch of .* thrown away$/ }).click();
    await page.waitForURL(`**${path}`);
  });

  it('every screen can be used by everyone, in both themes, and fits', async function () {
    this.timeout(120_000);
    const page = s.page();
    await s.go('/plan/demo-copper-weir/sheet/acts');
    const path = await begun(page);
    for (const there of [
      'Make ready',
      'Lye',
      'Oils',
      'The clock begins here',
      'Pour 2, B, Weir copper, pale',
      'Wait',
    ]) {
      await goUntil(page, ({ head }) => head === there);
      expect(await seriousFaults(page, 'all'), there).to.deep.equal([]);
      expect(await overflow(page), there).to.deep.equal(FITS);
      await page.getByRole('button', { name: /^(Evening|Daylight) colours$/ }).click();
      expect(await seriousFaults(page, 'contrast'), `${there}, the other theme`).to.deep.equal([]);
      await page.getByRole('heading', { level: 1 }).focus();
    }
    for (const view of ['weights', 'labels', 'ready', 'end']) {
      await page.goto(`${s.url()}${path}/${view}`);
      await page.getByRole('heading', { level: 1 }).waitFor();
      expect(await seriousFaults(page, 'all'), view).to.deep.equal([]);
    }
    await page.goto(`${s.url()}/today`);
    await page.getByRole('heading', { name: 'Whose turn it is' }).waitFor();
    expect(await seriousFaults(page, 'all'), 'today').to.deep.equal([]);
  });
});

describe('pour day in the hand, 390 x 844', () => {
  const s = studio({ viewport: { width: 390, height: 844 }, touch: true });

  it('a pattern by touch, from its start to its end, and nothing is wider than the window', async function () {
    this.timeout(120_000);
    const page = s.page();
    await s.go('/plan/demo-tarn-corner/sheet/acts');
    await begun(page);
    for (let n = 0; n < 200 && !isEnd(await onScreen(page)); n += 1) {
      if (n % 12 === 0) expect(await overflow(page)).to.deep.equal(FITS);
      await touched(page);
    }
    while ((await onScreen(page)).go !== 'Finished') await touched(page);
    await page.locator('footer button').last().tap();
    await page.getByRole('heading', { name: 'Finished' }).waitFor();
  });

  it('two touches within 300 ms are one', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet/acts');
    await begun(page);
    const go = page.locator('footer button').last();
    const before = await onScreen(page);
    const box = await go.boundingBox();
    if (!box) throw new Error('nothing goes on');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.touchscreen.tap(x, y);
    await page.touchscreen.tap(x, y);
    const after = await changed(page, before);
    await page.waitForTimeout(300);
    expect(await onScreen(page)).to.deep.equal(after);
    expect(after.go).to.equal('All here: the mould');
  });
});
