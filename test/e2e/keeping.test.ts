import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { storedPlan } from './support/stored.ts';
import { fieldValue, saved, studio, type } from './support/studio.ts';

/**
 * From now on nothing that the page puts off is done, until it is let go. As text: the page knows no helpers
 * of a compiler.
 */
const holdTimers = (page: Page): Promise<unknown> =>
  page.evaluate(`{
    const held = [];
    const real = window.setTimeout;
    window.setTimeout = (then) => held.push(then);
    window.letTimersGo = () => {
      window.setTimeout = real;
      for (const then of held) then();
    };
  }`);

const letTimersGo = (page: Page): Promise<unknown> => page.evaluate('window.letTimersGo()');

describe('nothing is lost', () => {
  const s = studio();
  const design = '/plan/demo-slate-beds/design';

  it('saves by itself and says so, and a reload shows the same', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    await type(page, 'Length', '260 mm');
    await saved(page);
    await page.reload();
    expect(await fieldValue(page, 'Length')).to.equal('260 mm');
  });

  it('keeps even what is being typed when the page is reloaded at once', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    await page.getByRole('textbox', { name: 'Length', exact: true }).fill('333 mm');
    await page.reload();
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    expect(await fieldValue(page, 'Length')).to.equal('333 mm');
    await saved(page);
  });

  it('brings an idle tab up to date with the other', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    const other = await s.tab('/plan/demo-slate-beds/mould');
    await type(other, 'Length', '270 mm');
    await page.getByText('Brought up to date with the other tab').waitFor();
    expect(await fieldValue(page, 'Length')).to.equal('270 mm');
  });

  it('brings a tab up to date under a field that is open: its card stays, and what is typed on counts', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    const other = await s.tab('/plan/demo-slate-beds/mould');
    await page
      .getByRole('button', { name: /^Pour 2:/ })
      .first()
      .click();
    const height = page.getByRole('textbox', { name: 'Height', exact: true });
    await height.fill('9 mm');
    await saved(page);
    await other.getByText('Brought up to date with the other tab').waitFor();
    await type(other, 'Length', '270 mm');
    await page.getByText('Brought up to date with the other tab').waitFor();
    expect(await height.evaluate((it) => it === document.activeElement)).to.equal(true);
    await page.keyboard.press('Control+a');
    await page.keyboard.type('11 mm');
    await page.keyboard.press('Enter');
    await saved(page);
    expect(await fieldValue(page, 'Height')).to.equal('11 mm');
    expect((await storedPlan(page, 'demo-slate-beds'))!.mould.shape).to.include({ lengthMm: 270 });
  });

  it('never overwrites silently when two tabs changed one plan', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    const other = await s.tab('/plan/demo-slate-beds/mould');
    await other.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    await saved(page);
    // a sleeping tab: its timers stand still, so what is typed there waits to be saved while the other saves
    await holdTimers(page);
    await type(page, 'Length', '280 mm');
    await type(other, 'Width', '70 mm');
    await saved(other);
    expect(await other.getByText('This plan was also changed in another tab').isVisible()).to.equal(false);
    await letTimersGo(page);
    await page.getByText('This plan was also changed in another tab').waitFor();
    await page.getByRole('button', { name: 'Keep mine as a copy' }).click();
    await page.getByRole('heading', { name: 'Slate Beds (my copy)' }).waitFor();
    await saved(page);
    await page.getByRole('link', { name: /^.*Mould/ }).click();
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    expect(await fieldValue(page, 'Length')).to.equal('280 mm');
    // the other's plan is as the other left it
    expect(await fieldValue(other, 'Width')).to.equal('70 mm');
    await page.goto(s.url());
    await page.getByRole('article', { name: 'Slate Beds', exact: true }).waitFor();
    await page.getByRole('article', { name: 'Slate Beds (my copy)' }).waitFor();
  });

  it('undoes and redoes across stations', async () => {
    const page = s.page();
    await s.go(design);
    await page.getByRole('button', { name: 'Even all' }).click();
    await page.getByRole('link', { name: /^.*Cut/ }).click();
    await type(page, 'Thickness', '20 mm');
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await fieldValue(page, 'Thickness')).to.equal('25 mm');
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await page.getByRole('button', { name: 'Undo' }).isDisabled()).to.equal(true);
    await page.getByRole('button', { name: 'Redo' }).click();
    await page.getByRole('button', { name: 'Redo' }).click();
    expect(await fieldValue(page, 'Thickness')).to.equal('20 mm');
  });
});
