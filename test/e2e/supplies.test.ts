import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { inStore } from './support/stored.ts';
import { saved, studio, type, unfold, openPot } from './support/studio.ts';

const item = (page: Page, name: string): Locator => page.getByRole('listitem', { name, exact: true });

/** A new thing of this kind, renamed. */
async function fresh(page: Page, kind: string, name: string): Promise<Locator> {
  await page.getByRole('button', { name: kind, exact: true }).click();
  const field = item(page, `New ${kind.toLowerCase()}`).getByLabel('Name');
  await field.fill(name);
  await page.keyboard.press('Enter');
  await item(page, name).waitFor();
  return item(page, name);
}

describe('supplies of one’s own', () => {
  const s = studio({ opens: true });

  it('a fragrance by its lot: claim and observation, taken into a plan, held back until the pour', async () => {
    const page = s.page();
    await page.getByRole('link', { name: 'Supplies' }).click();
    await fresh(page, 'Fragrance', 'Fern rain');
    await item(page, 'Fern rain').getByLabel('Lot or version').fill('lot 7');
    await page.keyboard.press('Enter');
    const lot = item(page, 'Fern rain, lot 7');
    await lot.getByLabel('The supplier says').selectOption({ label: 'leaves the speed as it is' });
    await lot.getByLabel('Certificate limit').fill('4');
    await page.keyboard.press('Enter');
    await lot.getByLabel(/Recipe that Fern rain/).fill('Slate Beds');
    await lot.getByLabel('it', { exact: true }).selectOption({ label: 'quickens the batter' });
    await lot.getByRole('button', { name: 'Write it down' }).click();
    await lot.getByText('You saw that it quickens the batter').waitFor();
    await page.reload();
    await item(page, 'Fern rain, lot 7').getByText('You saw that it quickens').waitFor();
    await s.go('/plan/demo-slate-beds/batter#added');
    await page.getByLabel('A fragrance out of the supplies').selectOption({ label: 'Fern rain, lot 7' });
    const card = item(page, 'Fern rain, lot 7');
    expect(await card.getByLabel('Certificate limit, of the bar').inputValue()).to.equal('4 %');
    await page.getByText(/"Fern rain" quickens the batter/).waitFor();
    await page.getByRole('button', { name: 'Stir it in just before each pour' }).click();
    await page.getByText(/"Fern rain" quickens the batter/).waitFor({ state: 'detached' });
    expect(await card.getByLabel('when').inputValue()).to.equal('pour');
  });

  it('a jug, a jar of colour and a cutter say what the scale reads, what is left, and where bars can be', async () => {
    const page = s.page();
    // the studio's own would be in the way of one that is looked for by its fields
    await inStore(page, 'supplies', 'store.clear();');
    await page.getByRole('link', { name: 'Supplies' }).click();
    await fresh(page, 'Jug', 'Blue jug');
    await type(page, 'Empty it weighs', '210 g');
    await type(page, 'Holds, to the brim', '300 ml');
    await fresh(page, 'Jar', 'Heather in oil');
    await fresh(page, 'Cutter', 'Wires');
    await type(page, 'Slot to slot', '1 in');
    await type(page, 'Longest loaf', '150');
    await s.go('/plan/demo-slate-beds/colour/pots');
    const pot = await openPot(page, 'A');
    await unfold(page, 'More');
    await pot.getByLabel('Mixed in').selectOption({ label: 'Blue jug' });
    await pot.getByText(/full, the scale reads/).waitFor();
    await page.getByText(/"Blue jug" holds 300 ml: \d+ g too much/).waitFor();
    await s.go('/plan/demo-heather-on-peat/colour/mixing');
    await page.getByLabel(/Where Heather mica comes from/).selectOption({ label: 'jar: Heather in oil' });
    await page.getByText(/of stock; [\d.]+ g stays in it|only 100 g in the jar/).waitFor();
    await s.go('/plan/demo-heather-on-peat/sheet');
    await page.getByText(/Shake up the jar "Heather in oil"/).waitFor();
    await s.go('/plan/demo-slate-beds/cut');
    await page.getByLabel('Cut with').selectOption({ label: 'Wires, every 25.4 mm' });
    await page.getByText(/are not on its grid/).waitFor();
    await page.getByRole('button', { name: 'Bars of 25.4 mm' }).click();
    await page.getByText(/are not on its grid/).waitFor({ state: 'detached' });
    await page.getByText(/cut it first at .* from the near end/).waitFor();
    await page.getByRole('button', { name: 'Pieces on top' }).click();
    await type(page, 'Middles of the pieces, from the near end', '30.4, 55.8');
    await page.getByText(/A cut goes through a piece on top/).waitFor();
    await page.getByRole('button', { name: /the cuts stay .* clear/ }).click();
    await page.getByText(/A cut goes through a piece on top/).waitFor({ state: 'detached' });
    await saved(page);
  });

  it('promises are held against what is in it, and an assessed recipe against itself', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#added');
    await page.getByRole('button', { name: 'milk-free', exact: true }).click();
    await page.getByLabel('Add an additive').selectOption({ label: 'Milk powder' });
    await page.getByText(/promised to be milk-free, and there is "Milk powder" in it/).waitFor();
    await page.getByRole('button', { name: 'Remove Milk powder' }).click();
    await page.getByText(/promised to be milk-free/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Assessed for sale as it is now' }).click();
    await unfold(page, 'Lye and water');
    await type(page, 'Superfat', '6');
    await page.getByText(/not the recipe that was assessed .*Now: superfat: 6 %/).waitFor();
    await page.keyboard.press('Control+z');
    await page.getByText(/not the recipe that was assessed/).waitFor({ state: 'detached' });
  });
});
