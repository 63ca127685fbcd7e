import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { demoPlans } from '../support/plans.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { begin } from './support/begin.ts';
import { inStore, storedIn } from './support/stored.ts';
import { fieldValue, saved, studio, type } from './support/studio.ts';

describe('the shelf, with the demo studio', () => {
  const s = studio({ opens: true });

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

describe('a good file and a bad one at once', () => {
  const s = studio({ opens: true });

  it('are told apart: it does not say that nothing has changed', async () => {
    const page = s.page();
    const good = readFileSync('demo/plans/slate-beds.dripline.json');
    await page.locator('input[type=file]').setInputFiles([
      { name: 'good.json', mimeType: 'application/json', buffer: good },
      { name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{') },
    ]);
    await page.getByText('On the shelf: Slate Beds (2)').waitFor();
    await page.getByText('“bad.json” was not taken. It has changed nothing.').waitFor();
    expect(await page.getByText('Nothing on the shelf has changed').count()).to.equal(0);
  });
});

describe('the shelf, empty', () => {
  const s = studio({ demo: false, opens: true });

  it('invites, starts a plan at its mould, and shows it on the shelf', async () => {
    const page = s.page();
    await page.getByText('Pick a mould, draw the layers').waitFor();
    await begin(page, 'Blank');
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

describe('plans that an older Drip Line stored', () => {
  const s = studio({ opens: true });

  it('are drawn on the shelf, exported and duplicated as this one writes them, and open as they were meant', async () => {
    const page = s.page();
    const file = JSON.parse(readFileSync('test/fixtures/three-beds.v3.dripline.json', 'utf8')) as Record<
      string,
      unknown
    >;
    const { format: _format, version, ...plan } = file;
    await inStore(
      page,
      'plans',
      `store.put(${JSON.stringify({ id: plan['id'], name: plan['name'], changed: plan['changed'], revision: 'r1', savedBy: 'older', version, plan })});`,
    );
    await page.goto(s.url());
    const card = page.getByRole('article', { name: 'Three beds', exact: true });
    await card.getByRole('link', { name: 'Open Three beds' }).waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('button', { name: 'Export Three beds' }).click(),
    ]);
    const exported = readPlanFile(readFileSync(await download.path(), 'utf8'));
    expect(exported.ok && exported.plan.batter.fragrances[0]!.name).to.equal('Moor smoke');
    await card.getByRole('button', { name: 'Duplicate Three beds' }).click();
    await page.getByRole('article', { name: 'Three beds copy' }).waitFor();
    await s.go('/plan/three-beds/batter#added');
    const smoke = page.getByRole('listitem', { name: 'Moor smoke', exact: true });
    expect(await smoke.getByLabel('of the oils').inputValue()).to.equal('2.3 %');
    expect(await smoke.getByLabel('when').inputValue()).to.equal('colour');
  });
});

describe('a shelf with more plans than fit', () => {
  const s = studio({ opens: true });

  it('says mould, grams, bars and trouble; is searched, notes too, and put in order', async () => {
    const page = s.page();
    const card = page.getByRole('article', { name: 'Slate Beds', exact: true });
    await card.getByText('Wooden loaf, 1.6 kg').waitFor();
    await card.getByText(/1.742 g · 9 bars/).waitFor();
    await page.getByRole('button', { name: 'Duplicate Slate Beds' }).click();
    await page.getByRole('article', { name: 'Slate Beds copy' }).waitFor();
    await s.go('/plan/demo-chalk-scar/batter#lye');
    await type(page, 'Superfat', '0');
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    await page.getByRole('dialog', { name: 'This plan' }).getByLabel('Notes').fill('For the harvest fair');
    await page.getByRole('button', { name: 'Done' }).click();
    await saved(page);
    await page.goto(s.url());
    const names = (): Promise<string[]> => page.getByRole('article').getByRole('heading').allInnerTexts();
    await page.getByRole('article', { name: 'Chalk Scar' }).getByText('something to look at').waitFor();
    await page.getByLabel('Find a plan').fill('HARVEST');
    await page.waitForFunction(() => document.querySelectorAll('article').length === 1);
    expect(await names()).to.deep.equal(['Chalk Scar']);
    await page.getByLabel('Find a plan').fill('silicone');
    await page.getByRole('article', { name: 'Bracken Bank' }).waitFor();
    await page.getByLabel('Find a plan').fill('');
    await page.getByLabel('In the order of').selectOption('name');
    await page.waitForFunction(() => document.querySelector('article h2')?.textContent === 'Basalt Columns');
    expect(await names()).to.deep.equal([...(await names())].toSorted());
    // red and orange before green and purple
    await page.getByLabel('In the order of').selectOption('colour');
    await page.waitForFunction(() => document.querySelector('article h2')?.textContent !== 'Basalt Columns');
    const byColour = await names();
    expect(byColour.indexOf('Slate Beds')).to.be.below(byColour.indexOf('Beck Pool'));
    expect(byColour.indexOf('Beck Pool')).to.be.below(byColour.indexOf('Heather on Peat'));
  });
});

describe('a new plan', () => {
  const s = studio({ opens: true });

  it('begins from a way of pouring, drawn in the mould used last, with as many layers and in the colours chosen', async () => {
    const page = s.page();
    await page.getByRole('link', { name: 'New plan' }).click();
    // nothing is on the shelf before one is pressed
    const count = async (): Promise<number> => (await storedIn(page, 'plans')).length;
    const before = await count();
    await page.getByRole('button', { name: 'Blank', exact: true }).waitFor();
    expect(await page.getByLabel('Mould', { exact: true }).inputValue()).to.equal('Wooden loaf, 1.6 kg');
    await page.getByLabel('Layers', { exact: true }).selectOption('7');
    // each beginning is drawn as itself; pictures come one after another
    for (const [name, layers] of [
      ['Ombre', 7],
      ['Straight layers', 7],
      ['Two soaps side by side', 2],
      ['A recipe only', 1],
    ] as const)
      await page.waitForFunction(
        ([of, count]) =>
          document.querySelectorAll(`button[aria-label="${of}"] svg path[fill^="#"]`).length === count,
        [name, layers] as const,
      );
    await page.getByLabel('Mould', { exact: true }).selectOption('Tapered silicone loaf');
    await page.getByRole('button', { name: 'Moss', exact: true }).click();
    expect(await count()).to.equal(before);
    await page.getByRole('button', { name: 'Slants that alternate' }).click();
    await page.getByRole('heading', { name: 'Slants that alternate' }).waitFor();
    await page
      .getByRole('button', { name: /^Pour 7/ })
      .first()
      .waitFor();
    await saved(page);
    expect(await count()).to.equal(before + 1);
    await page.getByRole('link', { name: /^.*Mould/ }).click();
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    expect(await fieldValue(page, 'Name')).to.equal('Tapered silicone loaf');
    await page.goto(`${s.url()}/new`);
    await page.getByRole('button', { name: 'Blank', exact: true }).waitFor();
    expect(await page.getByLabel('Mould', { exact: true }).inputValue()).to.equal('Tapered silicone loaf');
  });
});

describe('a plan to begin others from', () => {
  const s = studio({ opens: true });

  it('is kept under New plan, poured in any mould, and let go of', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    await page.getByRole('button', { name: 'Keep as a beginning for new plans' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await page.goto(`${s.url()}/new`);
    await page.getByRole('button', { name: 'Slate Beds', exact: true }).waitFor();
    await page.getByLabel('Mould', { exact: true }).selectOption({ label: 'Slab for 27 bars' });
    const own = page.getByRole('region', { name: 'Your own' });
    await own.getByText('in Slab for 27 bars').waitFor();
    await own.getByRole('button', { name: 'Slate Beds', exact: true }).click();
    await page.getByText('27 bars').first().waitFor();
    expect(await page.getByRole('heading', { level: 1 }).innerText()).to.equal('Slate Beds (2)');
    await page.goto(`${s.url()}/new`);
    await page.getByRole('button', { name: 'No longer keep Slate Beds as a beginning' }).click();
    await page.getByRole('region', { name: 'Your own' }).waitFor({ state: 'detached' });
  });

  it('or is poured in another mould, with what differs listed before it is made', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould#elsewhere');
    await page.getByLabel('In the mould').selectOption({ label: 'Wooden loaf, 1.2 kg' });
    const row = (what: string) => page.getByRole('row', { name: new RegExp(`^${what}`) });
    await row('Mould').getByText('Wooden loaf, 1.2 kg').waitFor();
    const grams = (await row('Batter').getByRole('cell').allInnerTexts()).map((t) =>
      Number(t.replaceAll(/[^\d]/g, '')),
    );
    expect(grams[1]).to.be.below(grams[0]!);
    await page.getByRole('button', { name: 'Make that plan' }).click();
    await page.getByRole('heading', { level: 1, name: 'Slate Beds, Wooden loaf, 1.2 kg' }).waitFor();
    await page
      .getByText(new RegExp(`${Math.floor(grams[1]! / 1000)}.${String(grams[1]).slice(-3)} g`))
      .first()
      .waitFor();
  });
});
