import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { more } from './support/line.ts';
import { begin } from './support/begin.ts';
import { saved, studio, type, unfold } from './support/studio.ts';

const card = (page: Page, name: string): Locator => page.getByRole('listitem', { name, exact: true });

const add = async (page: Page, mould: string): Promise<unknown> => {
  await unfold(page, 'Another mould beside it');
  return page.getByLabel('Another mould from the same batch').selectOption({ label: mould });
};

const station = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await page.waitForURL(new RegExp(name.toLowerCase().replace(' ', '-')));
  await page.locator('main').getByRole('heading', { level: 2 }).first().waitFor();
};

const tab = (page: Page, name: RegExp): Locator =>
  page.getByRole('group', { name: 'Mould on the bench' }).getByRole('button', { name });

/** "1 631 g" as 1631 */
const grams = (text: string): number => Number(/([\d\s]+) g/.exec(text)![1]!.replaceAll(/\s/g, ''));

describe('several moulds from one batch', () => {
  const s = studio({ opens: true });

  it('from New plan to the printed sheet: seeds in one layer, a scent a pot, a loaf and six cavities', async () => {
    const page = s.page();
    await begin(page, 'Straight layers');
    await station(page, 'Mould');
    await add(page, 'Round cavity, 3 in');
    await type(page, 'So many of this mould, filled alike', '6');
    const rows = page.locator('main table').first().getByRole('row');
    const [loafRow, cavityRow, allRow] = await rows.allInnerTexts();
    const cells = (await rows.nth(1).getByRole('cell').allInnerTexts()).join(' ');
    expect(cells).to.match(/6 × \d+ g.*6 bars/);
    expect(grams(allRow!)).to.equal(
      grams(loafRow!.replace(/^.*kg/, '')) + 6 * grams(cells.replace('6 ×', '')),
    );
    expect(cavityRow).to.contain('Round cavity');

    await station(page, 'Batter');
    await unfold(page, 'What is added');
    await page.getByLabel('Add an additive').selectOption({ label: 'Poppy seed' });
    await card(page, 'Poppy seed').getByLabel('into').selectOption({ label: 'some pots' });
    for (const [at, name] of ['Fern rain', 'Sea thrift'].entries()) {
      await page.getByRole('button', { name: /^Add (fragrance|another)$/ }).click();
      const scent = card(page, 'Fragrance');
      await scent.getByLabel('into').selectOption({ label: 'some pots' });
      if (at === 1) {
        // the first pot is chosen to begin with: the other one instead
        const pots = scent.getByRole('group', { name: /^Pots that get/ }).getByRole('button');
        await pots.nth(1).click();
        await pots.nth(0).click();
      }
      await scent.getByLabel('Name').fill(name);
      await page.keyboard.press('Enter');
      await card(page, name).waitFor();
    }
    await saved(page);

    await station(page, 'Sheet');
    await page.getByText(/Pour 1:/).waitFor();
    await page.emulateMedia({ media: 'print' });
    const sheet = page.locator('main');
    const text = (await sheet.innerText()).replaceAll(/\s+/g, ' ');
    await page.emulateMedia({ media: null });
    expect(text).to.match(/6 moulds: Round cavity, 3 in/);
    expect(text.match(/Poppy seed/g)).to.have.length(1);
    for (const scent of ['Fern rain', 'Sea thrift'])
      expect(text.match(new RegExp(scent, 'g'))).to.have.length(1);
    // each pour goes into the loaf and into each cavity
    const pours = text.match(/Pour \d+: pot/g)!;
    expect(text.match(/Batter into each of 6: Round cavity, 3 in/g)).to.have.length(pours.length);
    // the last pour fills both up to what they take
    const last = [...text.matchAll(/In each of 6 Round cavity, 3 in now (\d+) g of (\d+) g/g)].at(-1)!;
    expect(last[1]).to.equal(last[2]);
    expect(text).to.match(/Round cavity, 3 in: press 6 bars out of their cavities/);
    expect(text).to.match(/Wall marks: Wooden loaf/);
  });

  it('one of them gets a design of its own, and the loaf stays as it is', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    await add(page, 'Slab for 27 bars');
    await station(page, 'Design');
    await page.getByText(/Poured as Wooden loaf, 1.6 kg is/).waitFor();
    const lines = page.getByRole('slider', { name: /surface|line/i });
    expect(await lines.count()).to.equal(0);
    await page.getByRole('button', { name: 'A design of its own' }).click();
    await page.getByRole('button', { name: 'Even all' }).click();
    const drops = page.getByRole('navigation', { name: /Drip line/ }).getByRole('button', { name: /^Pour / });
    const masses = (await drops.allInnerTexts()).map((t) => grams(t));
    expect(Math.max(...masses) - Math.min(...masses)).to.be.at.most(1);
    await page.getByRole('button', { name: /^Pour 1:/ }).click();
    await more(page);
    await page
      .getByRole('button', { name: /^Remove/ })
      .first()
      .click();
    expect(await drops.count()).to.equal(masses.length - 1);
    await tab(page, /Wooden loaf/).click();
    expect(await drops.count()).to.equal(masses.length);
    await page.keyboard.press('Control+z');
    await tab(page, /Slab/).click();
    expect(await drops.count()).to.equal(masses.length);
    await page.getByRole('button', { name: 'As Wooden loaf, 1.6 kg again' }).click();
    await page.getByText(/Poured as Wooden loaf/).waitFor();
  });

  it('a given batch: too little is refused, what is over fills one more, and one takes what is left', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    await add(page, 'Round cavity, 3 in');
    await type(page, 'So many of this mould, filled alike', '6');
    await station(page, 'Batter');
    await unfold(page, 'Recipe');
    await page.getByLabel('Sized by').selectOption({ label: 'a given batter' });
    await type(page, 'Batter in all', '2000');
    await station(page, 'Mould');
    await page.getByText(/The batch of 2.000 g is .* short/).waitFor();
    await page.getByRole('button', { name: /^A batch of/ }).click();
    await page.getByText(/short: the moulds take/).waitFor({ state: 'detached' });
    await station(page, 'Batter');
    const whole = grams(await page.getByLabel('Batter in all').inputValue());
    await type(page, 'Batter in all', String(whole + 300));
    await station(page, 'Design');
    await page.getByText(/of the batch goes into no pour: (one|\d+) more Round cavity/).waitFor();
    await page.getByRole('button', { name: /more Round cavity/ }).click();
    await page.getByText(/of the batch goes into no pour: /).waitFor({ state: 'detached' });
    await station(page, 'Mould');
    await tab(page, /Wooden loaf/).click();
    await page.getByText('what is left').click();
    await page.getByText(/That fills the mould to/).waitFor();
    await saved(page);
  });
});
