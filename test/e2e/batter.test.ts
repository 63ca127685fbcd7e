import { expect } from 'chai';
import { factOf, fieldValue, studio, type, unfold } from './support/studio.ts';

describe('the batter station', () => {
  const s = studio();
  beforeEach(async () => {
    await s.go('/plan/demo-slate-beds/batter');
    for (const part of ['Recipe', 'Lye and water', 'What is added']) await unfold(s.page(), part);
  });
  const warnings = () => s.page().getByRole('list', { name: 'Warnings' });

  it('lists oils with their ranges and origins, and adds one from the library', async () => {
    const page = s.page();
    expect(await page.getByText('184 to 196 · Codex').count()).to.equal(0);
    await page.getByRole('button', { name: 'Saponification values' }).click();
    await page.getByText('184 to 196 · Codex Alimentarius CXS 33').waitFor();
    expect(await page.getByLabel('Add an oil').locator('option').count()).to.be.above(24);
    await page.getByLabel('Add an oil').selectOption('Babassu oil');
    await type(page, 'Share of Babassu oil', '10');
    await warnings()
      .getByText(/The oils add up to 110 %/)
      .waitFor();
    await page.getByRole('button', { name: 'Scale to 100 %' }).click();
    await warnings().waitFor({ state: 'detached' });
  });

  it('takes an oil of one’s own, and says what is wrong with it at the field', async () => {
    const page = s.page();
    await page.getByLabel('Add an oil').selectOption('An oil of my own…');
    const form = page.getByRole('form', { name: 'An oil of your own' });
    await form.getByLabel('Name').fill('Moor seed');
    await form.getByLabel('Lowest').fill('20');
    await form.getByLabel('Highest').fill('190');
    await form.getByRole('button', { name: 'Add this oil' }).click();
    await form.getByText('20 mg KOH/g is outside 50 to 400').waitFor();
    await form.getByLabel('Lowest').fill('182');
    await form.getByRole('button', { name: 'Add this oil' }).click();
    await page.getByRole('button', { name: 'Saponification values' }).click();
    await page.getByText('182 to 190 · entered for this plan').waitFor();
  });

  it('says the same water in all three schools', async () => {
    const page = s.page();
    const facts = (name: string) => factOf(page, name);
    expect(await facts('as water : lye')).to.equal('2.33 : 1');
    expect(await facts('as % of oils')).to.equal('33.1 %');
    await page.getByLabel('Water said as').first().selectOption('water-to-lye');
    expect(await fieldValue(page, 'Water to one of lye')).to.equal('2.33 : 1');
    expect(await facts('as lye concentration')).to.equal('30 %');
  });

  it('blocks negative superfat and too little water with their numbers', async () => {
    const page = s.page();
    await type(page, 'Superfat', '-2 %');
    await page.getByText('-2 % is outside 0 to 30 %').waitFor();
    await page.getByRole('textbox', { name: 'Superfat' }).press('Escape');
    await page.getByLabel('Water said as').first().selectOption('percent-of-oils');
    await type(page, 'Water, of the oils', '9 %');
    await warnings()
      .getByText(/Only 0\.6\d? of water to 1 of lye/)
      .waitFor();
    await s.go('/plan/demo-slate-beds/sheet');
    await page.getByText('There is no sheet while something is refused').waitFor();
    await page.getByRole('button', { name: 'Use two parts water to one of lye' }).click();
    await page.getByRole('heading', { name: /pour sheet/ }).waitFor();
  });

  it('checks a written recipe: takes what is safe, refuses what is not, with its number', async () => {
    const page = s.page();
    await page.getByText('Check a written recipe, take it over').click();
    const text = page.getByLabel(/^As it is written/);
    await text.fill(
      'olive oil 450 g\ncoconut oil 250 g\n100 g shea butter\n200 g high oleic sunflower\nlye 135 g\nwater 300 g',
    );
    const found = page.getByRole('region', { name: 'What is found' });
    await found.getByText(/^8\.\d+ %$/).waitFor();
    await found.getByText('2.22 : 1').waitFor();
    await found.getByRole('button', { name: 'Take it over, to fill the mould' }).click();
    await found.getByText('Taken over.').waitFor();
    expect(await fieldValue(page, 'Superfat')).to.match(/^8\.\d+ %$/);
    await text.fill((await text.inputValue()).replace('lye 135 g', 'lye 166 g'));
    await found.getByText(/Refused: lye-heavy by 1\d\.\d % at 99 % purity, 1\d g more/).waitFor();
    await found.getByText(/uses the lye up \(0 %\)/).waitFor();
    expect(await found.getByRole('button', { name: /Take it over/ }).count()).to.equal(0);
    expect(await fieldValue(page, 'Superfat')).to.match(/^8\.\d+ %$/);
  });

  it('asks about names it does not know, names the line it cannot read, and makes the recipe another size', async () => {
    const page = s.page();
    await page.getByText('Check a written recipe, take it over').click();
    const text = page.getByLabel(/^As it is written/);
    await text.fill('60 % olive\na pinch of salt\n40 % moor seed butter');
    await page.getByText('line 2: "a pinch of salt" has no amount').waitFor();
    await page.getByLabel('Which oil is “moor seed butter”?').selectOption({ label: 'Shea butter' });
    const size = page.getByRole('region', { name: 'Another size' });
    await size.getByText('given oils').click();
    await type(page, 'Oils in all', '900 g');
    await type(page, 'In so many jugs alike', '3');
    await size.getByRole('row', { name: /Olive oil 180 g 540 g/ }).waitFor();
    await size.getByRole('row', { name: /Shea butter 120 g 360 g/ }).waitFor();
  });

  it('takes oils by weight, and the batch is as much as they come to', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Give them by weight' }).click();
    await type(page, 'Weight of Shea butter', '200 g');
    await type(page, 'Weight of Coconut oil', '200 g');
    expect(await fieldValue(page, 'Share of Shea butter')).to.equal(
      await fieldValue(page, 'Share of Coconut oil'),
    );
    expect(await fieldValue(page, 'Weight of Shea butter')).to.equal('200 g');
    await page.getByLabel('Sized by').selectOption('mould');
  });

  it('warns of fragrance above its certificate, and one press lands under it', async () => {
    const page = s.page();
    await type(page, 'of the oils', '8');
    await warnings()
      .getByText(/its certificate allows 4\.5 %/)
      .waitFor();
    await warnings().getByRole('button').click();
    await warnings().waitFor({ state: 'detached' });
  });

  it('asks for the certificate’s limit while it is not known', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Remove Wet Stone (made-up blend)' }).click();
    await page.getByRole('button', { name: 'Add fragrance' }).click();
    expect(await fieldValue(page, 'Certificate limit, of the bar')).to.equal('not known yet');
    await warnings()
      .getByText(/Enter the limit for rinse-off bar soap/)
      .waitFor();
    await type(page, 'Certificate limit, of the bar', '5');
    await warnings().waitFor({ state: 'detached' });
  });

  it('sizes by a given batch, with overage, and shows how high it fills', async () => {
    const page = s.page();
    await page.getByLabel('Sized by').selectOption('oils');
    await type(page, 'Oils in all', '2 lb');
    await page.getByText(/Fills the mould to 5\d(\.\d)? mm/).waitFor();
    await type(page, /^Overage/, '0');
    await page.getByText(/Fills the mould to 5\d(\.\d)? mm/).waitFor();
  });

  it('weighs additives, milk in place of water, and keeps the caution where the lye is', async () => {
    const page = s.page();
    await page.getByLabel('Add an additive').selectOption('Kaolin clay');
    await page.getByRole('button', { name: 'Add milk, aloe…' }).click();
    await page.getByRole('button', { name: 'Remove Milk' }).waitFor();
    await page.getByText('Lye into water, never water into lye').waitFor();
    await page.getByText(/The solution heats to ≈ \d+ °C/).waitFor();
  });
});
