import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { storedIn } from './support/stored.ts';
import { studio } from './support/studio.ts';

describe('what was deleted, and everything that is kept', () => {
  const s = studio({ opens: true });

  it('a plan, a jug and a mould come back out of the bin; emptied, it is gone', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Delete Slate Beds' }).click();
    await page.getByText('“Slate Beds” is in the bin.').waitFor();
    await page.getByRole('link', { name: 'Supplies' }).click();
    await page.getByRole('button', { name: 'Jug', exact: true }).click();
    const jug = page.getByRole('listitem', { name: 'New jug' });
    await jug.getByRole('button', { name: /^Take/ }).click();
    await jug.waitFor({ state: 'detached' });
    await page.goto(s.url());
    await page.getByRole('link', { name: 'Bin: 2' }).click();
    const bin = page.getByRole('region', { name: 'Bin' });
    await bin.getByText('31 days more').first().waitFor();
    await bin.getByRole('listitem', { name: 'Slate Beds' }).getByRole('button', { name: 'Put back' }).click();
    await bin.getByRole('listitem', { name: 'New jug' }).getByRole('button', { name: 'Put back' }).click();
    await bin.waitFor({ state: 'detached' });
    expect(await storedIn(page, 'supplies')).to.have.length(7);
    await page.goto(s.url());
    const card = page.getByRole('article', { name: 'Slate Beds' });
    // a press on any of its card opens it
    const lines = (await card.getByText(/bars ·/).boundingBox())!;
    await page.mouse.click(lines.x + 20, lines.y + lines.height / 2);
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    await page.goto(s.url());
    await card.getByRole('button', { name: 'Delete Slate Beds' }).click();
    await page.getByRole('link', { name: 'Bin: 1' }).click();
    await page.getByRole('button', { name: 'Empty the bin' }).click();
    await bin.waitFor({ state: 'detached' });
    expect(await storedIn(page, 'bin')).to.deep.equal([]);
  });

  it('everything goes out as one file, and comes in on an empty shelf as it was', async () => {
    const page = s.page();
    await page.getByRole('link', { name: 'Supplies' }).click();
    await page.getByRole('button', { name: 'Jug', exact: true }).click();
    await page.getByRole('listitem', { name: 'New jug' }).waitFor();
    await page.goto(`${s.url()}/kept`);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export everything' }).click(),
    ]);
    await page.getByText(/^16 plans, 0 batches and 7 things of the library are in it\.$/).waitFor();
    const text = readFileSync(await download.path(), 'utf8');
    const before = await storedIn<{ name: string; plan: { id: string } }>(page, 'plans');
    for (const { plan } of before) {
      expect(text).to.contain(`"id": "${plan.id}"`);
    }
    await page.goto(s.url());
    for (const name of ['Slate Beds', 'Copper Weir'])
      await page.getByRole('button', { name: `Delete ${name}` }).click();
    await page.getByRole('link', { name: 'Bin: 2' }).waitFor();
    await page.getByLabel('Plan and batch files').setInputFiles({
      name: 'all.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
    await page.getByText(/On the shelf: .*Of the library: 0 taken/).waitFor();
    const after = await storedIn<{ name: string }>(page, 'plans');
    // the two that were deleted are there as they were, and nothing twice
    expect(after.map((p) => p.name).toSorted()).to.deep.equal(before.map((p) => p.name).toSorted());
  });
});
