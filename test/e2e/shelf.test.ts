import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { demoPlans } from '../support/plans.ts';
import { saved, studio, type } from './support/studio.ts';

describe('the shelf, with the demo studio', () => {
  const s = studio();

  it('shows the plans as little loaf sections and opens one', async () => {
    const page = s.page();
    const card = page.getByRole('article', { name: 'Slate Beds' });
    expect(await card.locator('svg path').count()).to.be.above(5);
    await card.getByRole('link').click();
    await page.getByRole('heading', { name: 'Slate Beds' }).waitFor();
    await page.waitForURL(/\/plan\/demo-slate-beds\/design$/);
  });

  it('does not bring the demo studio back once its plans are gone', async () => {
    const page = s.page();
    for (const { name } of demoPlans()) await page.getByRole('button', { name: `Delete ${name}` }).click();
    await page.getByText('An empty shelf').waitFor();
    await page.reload();
    await page.getByText('An empty shelf').waitFor();
  });

  it('duplicates, and deletes with undo', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Duplicate Slate Beds' }).click();
    await page.getByRole('article', { name: 'Slate Beds copy' }).waitFor();
    await page.getByRole('button', { name: 'Delete Slate Beds', exact: true }).click();
    await page.getByRole('article', { name: 'Slate Beds', exact: true }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('article', { name: 'Slate Beds', exact: true }).waitFor();
  });

  it('exports a plan file and imports it again beside the first', async () => {
    const page = s.page();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export Slate Beds' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('slate-beds.dripline.json');
    const path = await download.path();
    expect(JSON.parse(readFileSync(path, 'utf8'))).to.deep.equal(
      JSON.parse(readFileSync('demo/plans/slate-beds.dripline.json', 'utf8')),
    );
    await page.locator('input[type=file]').setInputFiles(path);
    await page.getByText('On the shelf: Slate Beds').waitFor();
    const both = page.getByRole('article', { name: 'Slate Beds' });
    await both.nth(1).waitFor();
    expect(await both.count()).to.equal(2);
  });

  it('says which field of a damaged file is wrong and changes nothing', async () => {
    const page = s.page();
    const plan = JSON.parse(readFileSync('demo/plans/slate-beds.dripline.json', 'utf8')) as {
      batter: { superfatPercent: number };
    };
    plan.batter.superfatPercent = -5;
    await page.locator('input[type=file]').setInputFiles([
      { name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(plan)) },
      { name: 'worse.json', mimeType: 'application/json', buffer: Buffer.from('{"format": 3') },
    ]);
    const alert = page.getByRole('alert');
    await alert.getByText('batter.superfatPercent: -5 % is outside 0 to 30 %').waitFor();
    await alert.getByText(/“worse.json” was not taken/).waitFor();
    await page
      .getByRole('article')
      .nth(demoPlans().length - 1)
      .waitFor();
    expect(await page.getByRole('article').count()).to.equal(demoPlans().length);
  });
});

describe('the shelf, empty', () => {
  const s = studio({ demo: false });

  it('invites, starts a plan at its mould, and shows it on the shelf', async () => {
    const page = s.page();
    await page.getByText('Pick a mould, draw the layers').waitFor();
    await page.getByRole('button', { name: 'New plan' }).first().click();
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    await type(page, 'Name', 'First loaf');
    await page.getByRole('button', { name: 'Done' }).click();
    await saved(page);
    await page.getByRole('link', { name: 'To the shelf' }).click();
    await page.getByRole('article', { name: 'First loaf' }).waitFor();
  });

  it('says so when an address leads to no plan', async () => {
    const page = s.page();
    await page.goto(`${s.url()}/plan/nobody/design`);
    await page.getByText('This plan is not on the shelf').waitFor();
    await page.goto(`${s.url()}/no/such/place`);
    await page.getByText('There is nothing at this address').waitFor();
  });
});
