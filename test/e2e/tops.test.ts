import { expect } from 'chai';
import { put } from './support/line.ts';
import { sharp } from './support/pictures.ts';
import {
  fieldValue,
  saved,
  seriousFaults,
  studio,
  type as typeIn,
  openPot,
  unfold,
} from './support/studio.ts';

describe('tops in the browser', () => {
  const at = studio();

  it('a mound, to one side, out of a pot: seen, weighed and undone', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/design');
    const batter = async (): Promise<number> =>
      Number(
        (await page.locator('header').getByText('batter', { exact: true }).locator('..').innerText()).replace(
          /[^0-9.]/g,
          '',
        ),
      );
    const before = await batter();
    await put(page, 'Top', 'Mound');
    await page.getByRole('heading', { name: 'Mound' }).waitFor();
    await typeIn(page, 'High', '20');
    await typeIn(page, 'Right of the middle', '15');
    await sharp(page);
    const onOne = page.getByText('On one mould').locator('..').locator('dd');
    const massG = Number((await onOne.innerText()).replace(/[^0-9.]/g, ''));
    expect(massG).to.be.above(100);
    // what is heaped is made with the rest, and three in a hundred of it for jugs
    expect(await batter()).to.be.closeTo(before + massG, 0.06 * massG + 3);
    await page.getByText(/The mound would be heaped on batter that is/).waitFor();
    await page.getByRole('button', { name: 'Wait until it is between medium and thick' }).click();
    await page.getByText(/The mound would be heaped/).waitFor({ state: 'detached' });
    await typeIn(page, 'Right of the middle', '400');
    await page.getByText(/the ridge of the mound is 400 mm off the middle/i).waitFor();
    await page.getByRole('button', { name: 'Along the middle' }).click();
    expect(await fieldValue(page, 'Right of the middle')).to.equal('0 mm');
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/Heap pot [A-Z], .* on top by the spoon: a mound 20 mm high/).waitFor();
  });

  it('piping from a second batch: rows, cuts, its recipe, its bags, the sheet, the bars', async () => {
    const page = at.page();
    await page.goto(`${at.url()}/new`);
    await page.getByRole('button', { name: 'Straight layers' }).click();
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    await put(page, 'Top', 'Piping');
    await page.getByRole('heading', { name: 'Piping' }).waitFor();
    // too many for a bar, and one press
    await typeIn(page, 'Dollops to a bar', '3');
    await page.getByText(/3 dollops of row 1 of .* they lie on its cuts/).waitFor();
    await page.getByRole('button', { name: /^Row 1: 1 to a bar/ }).click();
    await page.getByText(/they lie on its cuts/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Row', exact: true }).click();
    await page.getByLabel('What row 2 is').selectOption('rope');
    await page.getByRole('button', { name: 'Side by side' }).click();
    await saved(page);
    // not a figure that it cannot have is taken
    await typeIn(page, 'Dollops to a bar', '99');
    await page.getByText('99 on a bar is outside 1 to 24').waitFor();
    await page.getByRole('textbox', { name: 'Dollops to a bar' }).press('Escape');
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    // the recipe of its own
    await page.getByRole('link', { name: 'recipe and weights' }).click();
    await page.getByRole('heading', { name: 'Batter', exact: true }).waitFor();
    await unfold(page, 'Recipe');
    await page.getByText('Piped on the soap').waitFor();
    await unfold(page, 'Lye and water');
    await typeIn(page, 'Beyond what is piped', '30');
    await typeIn(page, 'Superfat', '8');
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    await page.getByText('for the loaf', { exact: true }).click();
    expect(await fieldValue(page, 'Superfat')).to.equal('5 %');
    await page.getByText('for piping', { exact: true }).click();
    expect(await fieldValue(page, 'Superfat')).to.equal('8 %');
    // a bag more
    await page.getByRole('link', { name: /Colour\b.*bag/ }).click();
    await page.getByRole('button', { name: 'Pot', exact: true }).click();
    await page.getByRole('listitem', { name: 'Pot E' }).waitFor();
    await openPot(page, 'D');
    await typeIn(page, 'Name', 'Foam');
    await page.getByRole('link', { name: /Colour.*3 pots, 2 bags/ }).waitFor();
    await page.getByText('for the loaf', { exact: true }).click();
    await page.getByRole('listitem', { name: 'Pot A' }).waitFor();
    expect(await page.getByRole('listitem', { name: 'Pot E' }).count()).to.equal(0);
    // the sheet
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/^For piping, apart from that: .* of batter · .* lye · .* water$/).waitFor();
    const apart = page.getByRole('region', { name: 'The batch for piping' });
    await apart.getByText(/make the batch for piping of the lye .* superfat/).waitFor();
    await apart.getByText('Fresh batter again: goggles and gloves on.').waitFor();
    await apart.getByText(/fill the bags: D, foam/).waitFor();
    await page.getByText(/Pipe row 1, bag D: 1 dollop to a bar, \d+ in all/).waitFor();
    // the bars, and the loaf turning
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    await sharp(page);
    await page.getByRole('button', { name: 'Loaf', exact: true }).click();
    await sharp(page);
    // what is on top is one picture, however it is turned
    const turning = page.getByRole('img', { name: /^The loaf in three dimensions/ });
    expect(await turning.locator('canvas').count()).to.equal(1);
  });

  it('dents, pieces, straws, salt and a stick for the top alone', async () => {
    const page = at.page();
    await at.go('/plan/demo-cotton-grass/design');
    const putTop = async (name: string): Promise<void> => {
      await put(page, 'Top', name);
      await page.getByRole('heading', { name }).waitFor();
    };
    await putTop('Spoon dents');
    await typeIn(page, 'Deep', '70');
    await page.getByText(/40/).first().waitFor();
    await typeIn(page, 'Deep', '6');
    await typeIn(page, 'Along each bar', '2');
    await page.getByText(/2 dents of .* they lie on its cuts/).waitFor();
    await page.getByRole('button', { name: '1 to a bar' }).click();
    await putTop('Pieces');
    await typeIn(page, 'Called', 'Lapwing');
    await typeIn(page, 'Each weighs', '2');
    await page.getByText('Pieces to have ready').waitFor();
    await putTop('Straws');
    await typeIn(page, 'Deep', '90');
    await page.getByText(/Straws go 90 mm deep, and the soap is 60.7 mm deep/).waitFor();
    await page.getByRole('button', { name: /^55.5 mm deep/ }).click();
    await putTop('Salt');
    await page.getByText(/A wire that goes in through the top drags salt/).waitFor();
    await page.getByRole('button', { name: 'Cut on its side' }).click();
    await page.getByText(/A wire that goes in through the top/).waitFor({ state: 'detached' });
    await put(page, 'Stick', 'Spiral, through the top alone');
    await page.getByRole('heading', { name: 'Spiral' }).waitFor();
    expect(await fieldValue(page, 'How deep')).to.equal('6 mm');
    await typeIn(page, 'How deep', '12');
    await page.getByText(/Meant for the top, the stick goes 12 mm deep: below 6 mm/).waitFor();
    await page.getByRole('button', { name: '6 mm deep' }).click();
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page
      .getByText(/Press 8 of lapwing into the top, 1 to a bar, clear of the cuts \(16(.0+)? g in all\)/)
      .waitFor();
    await page.getByText(/They are taken out before a bar is used/).waitFor();
    await page.getByText(/of coarse salt over the top/).waitFor();
    await page.getByText(/Press dents into the top with the back of a spoon/).waitFor();
  });

  it('made upside down: the mat, its hollows, the loaf turned over and the bars as they stand', async () => {
    const page = at.page();
    await page.goto(`${at.url()}/new`);
    await page.getByRole('button', { name: 'Made upside down' }).click();
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    await page.getByRole('button', { name: 'ridges: the hollows of the mat are filled' }).click();
    await page.getByRole('heading', { name: 'Its hollows are filled' }).waitFor();
    const massOf = async (): Promise<number> =>
      Number(
        (await page.getByText('In one mould').locator('..').locator('dd').innerText()).replace(
          /[^0-9.]/g,
          '',
        ),
      );
    const before = await massOf();
    await page.getByLabel('Filled out of').selectOption({ label: 'pot A, Chalk' });
    await page
      .getByRole('link', { name: /^.*Mould\b/ })
      .first()
      .click();
    await unfold(page, 'What stands in it');
    await typeIn(page, 'Hollows deep', '4');
    await page.getByText(/Its hollows take .* g/).waitFor();
    await unfold(page, 'What stands in it');
    await typeIn(page, 'Hollows deep', '9');
    await page.getByText('a relief of 9 mm does not go into a mat 4 mm thick').waitFor();
    await page.getByRole('textbox', { name: 'Hollows deep' }).press('Escape');
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    await page.getByRole('link', { name: /Design\b/ }).click();
    expect(await massOf()).to.be.closeTo(2 * before, 2);
    await page.getByRole('button', { name: 'Loaf', exact: true }).click();
    await page.getByText('turned over, as it stands').waitFor();
    await sharp(page);
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    await sharp(page);
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/Texture mat on the floor, its relief up/).waitFor();
    await page.getByText(/Fill the hollows of the mat with pot A, Chalk: they are 4 mm deep/).waitFor();
    await page.getByText(/Turn it over: what lay on the mat is its top/).waitFor();
    await page
      .getByRole('link', { name: /Mould\b/ })
      .first()
      .click();
    await unfold(page, 'What stands in it');
    await page.getByRole('button', { name: 'Take it out' }).last().click();
    await page.getByText('None: the loaf stands as it is poured.').waitFor();
    await page
      .getByRole('button', { name: 'ridges: the hollows of the mat are filled' })
      .waitFor({ state: 'detached' });
  });
});
