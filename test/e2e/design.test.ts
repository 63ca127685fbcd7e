import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { more, put } from './support/line.ts';
import { fieldValue, studio, type, workedOut } from './support/studio.ts';

const drops = (page: Page) =>
  page.getByRole('navigation', { name: /Drip line/ }).getByRole('button', { name: /^Pour / });
const dropNames = async (page: Page): Promise<string[]> => {
  await workedOut(page);
  return drops(page).evaluateAll((list) => list.map((b) => b.getAttribute('aria-label') ?? ''));
};
const letters = async (page: Page): Promise<string> =>
  (await dropNames(page)).map((n) => /: ([A-Z]\d?),/.exec(n)?.[1] ?? '?').join('');

describe('the design station', () => {
  const s = studio();
  beforeEach(() => s.go('/plan/demo-slate-beds/design'));
  const choose = (nth: number) =>
    drops(s.page())
      .nth(nth - 1)
      .click();

  it('hangs one drop for each pour, with letters, and choosing one opens that pour', async () => {
    const page = s.page();
    expect(await letters(page)).to.equal('ABCBD');
    await choose(3);
    await page
      .getByRole('region', { name: 'Pour 3' })
      .getByRole('heading', { name: 'Weir copper' })
      .waitFor();
    expect(await drops(page).nth(2).getAttribute('aria-pressed')).to.equal('true');
  });

  it('adds, duplicates, reorders and removes layers', async () => {
    const page = s.page();
    await put(page, 'Pour');
    expect(await letters(page)).to.equal('ABCBDE');
    await more(page);
    await page.getByRole('button', { name: 'Down' }).click();
    expect(await letters(page)).to.equal('ABCBED');
    await page.getByRole('button', { name: 'Duplicate' }).click();
    expect(await letters(page)).to.equal('ABCBEED');
    await more(page);
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    expect(await letters(page)).to.equal('ABCBED');
  });

  it('reorders by dragging a drop along the line, and by Alt and the arrow keys', async () => {
    const page = s.page();
    const from = (await drops(page).nth(0).boundingBox())!;
    const to = (await drops(page).nth(1).boundingBox())!;
    await page.mouse.move(from.x + 15, from.y + 40);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 40, { steps: 4 });
    await page.mouse.move(to.x + 30, to.y + 40, { steps: 8 });
    await page.mouse.up();
    expect(await letters(page)).to.equal('BACBD');
    await drops(page).nth(1).focus();
    await page.keyboard.press('Alt+ArrowLeft');
    expect(await letters(page)).to.equal('ABCBD');
  });

  it('types a height, a mass or a share, and the three stay one', async () => {
    const page = s.page();
    await choose(1);
    await type(page, 'Height', '25 mm');
    const mass = Number((await fieldValue(page, 'Mass')).replace(/[^\d.]/g, ''));
    // 91 x 249 x 25 mm at about 1.018 g/ml
    expect(mass).to.be.within(575, 578);
    await type(page, 'Mass', '15 oz');
    expect(await fieldValue(page, 'Mass')).to.equal('425 g');
    expect(await fieldValue(page, 'Height')).to.equal('18.4 mm');
    await type(page, 'Share', '12%');
    expect(await fieldValue(page, 'Share')).to.equal('12 %');
    expect(await fieldValue(page, 'Height')).to.equal('8.5 mm');
  });

  it('understands a height, a mass or a share in any of the three fields', async () => {
    const page = s.page();
    await choose(1);
    await type(page, 'Mass', '18 mm');
    expect(await fieldValue(page, 'Height')).to.equal('18 mm');
    await more(page);
    await page.getByText('Given by its height').waitFor();
    await type(page, 'Height', '12%');
    expect(await fieldValue(page, 'Share')).to.equal('12 %');
    await type(page, 'Share', '1 lb 2 oz');
    expect(await fieldValue(page, 'Mass')).to.equal('510 g');
    await type(page, 'Share', '3 tsp');
    await page.getByText('A height, a mass or a share is wanted here').waitFor();
  });

  it('drags a layer line: the layer under it grows, the one above gives, the others stay', async () => {
    const page = s.page();
    const line = page.getByRole('slider', { name: /Top of pour 1,/ });
    const box = (await line.boundingBox())!;
    const before = await dropNames(page);
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    for (let i = 1; i <= 10; i += 1)
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - i * 3);
    await page.mouse.up();
    const after = await dropNames(page);
    expect(after[0]).to.not.equal(before[0]);
    expect(after[1]).to.not.equal(before[1]);
    // what they weigh stays; their minutes may shift, since a larger pour takes longer
    const weighs = (names: readonly string[]): string[] =>
      names.slice(2).map((n) => n.replace(/, at .*$/, ''));
    expect(weighs(after)).to.deep.equal(weighs(before));
    await page.keyboard.press('Control+z');
    expect(await dropNames(page)).to.deep.equal(before);
  });

  it('moves a line by the scale’s step with the arrow keys, by ten with Shift', async () => {
    const page = s.page();
    await choose(1);
    const grams = async (): Promise<number> =>
      Number((await fieldValue(page, 'Mass')).replace(/[^\d.]/g, ''));
    const before = await grams();
    const line = page.getByRole('slider', { name: /Top of pour 1,/ });
    await line.focus();
    await page.keyboard.press('ArrowUp');
    expect(await grams()).to.equal(before + 1);
    await page.keyboard.press('Shift+ArrowDown');
    expect(await grams()).to.equal(before - 9);
  });

  it('evens all but the locked layer, and evens from one layer up', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Even all' }).click();
    await choose(3);
    expect(await fieldValue(page, 'Height')).to.equal('6 mm');
    await choose(1);
    const even = await fieldValue(page, 'Height');
    expect(even).to.equal('16.1 mm');
    await type(page, 'Height', '30 mm');
    await choose(2);
    await more(page);
    await page.getByRole('button', { name: 'Even from here up' }).click();
    expect(await fieldValue(page, 'Height')).to.equal('11.5 mm');
    await choose(1);
    expect(await fieldValue(page, 'Height')).to.equal('30 mm');
  });

  it('locks a layer: its line cannot be dragged', async () => {
    const page = s.page();
    await choose(2);
    await more(page);
    await page.getByRole('button', { name: 'Lock', exact: true }).click();
    await page.getByRole('button', { name: 'Locked' }).waitFor();
    expect(await page.getByRole('slider', { name: /Top of pour 2,/ }).count()).to.equal(0);
  });

  it('says how a pour lands, where it comes from and what is held back', async () => {
    const page = s.page();
    await choose(1);
    await page.getByLabel('Land it').selectOption({ label: 'in a stream' });
    expect(await fieldValue(page, 'Falls from')).to.equal('50 mm');
    await page.getByLabel('Poured from').selectOption({ label: 'D  Chalk' });
    expect(await letters(page)).to.equal('DBCBD');
    await page.getByRole('button', { name: 'Close this pour' }).click();
    await page.getByText('Held back for the top').click();
    await type(page, 'Held back from pot B', '45');
    await s.go('/plan/demo-slate-beds/sheet');
    await page.getByText('Held back in pot B').waitFor();
  });

  it('says when pours do not fit, and one press puts it right', async () => {
    const page = s.page();
    await choose(1);
    await type(page, 'Height', '70 mm');
    const warnings = page.getByRole('list', { name: 'Warnings' });
    await warnings.getByText(/Refused/).waitFor();
    expect(await warnings.innerText()).to.match(/\d+ g/);
    await warnings.getByRole('button', { name: 'Make all layers even' }).click();
    await warnings.waitFor({ state: 'detached' });
  });

  it('can be done with the keyboard alone: choose a drop, change it, undo', async () => {
    const page = s.page();
    await drops(page).nth(0).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('region', { name: 'Pour 1' }).waitFor();
    await page.getByRole('textbox', { name: 'Height' }).focus();
    await page.keyboard.type('22 mm');
    await page.keyboard.press('Tab');
    expect(await fieldValue(page, 'Height')).to.equal('22 mm');
    await page.keyboard.press('Control+z');
    expect(await fieldValue(page, 'Height')).to.equal('20 mm');
    await page.keyboard.press('Control+Shift+z');
    expect(await fieldValue(page, 'Height')).to.equal('22 mm');
  });
});
