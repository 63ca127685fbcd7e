import { expect } from 'chai';
import { choose, factOf, openPot, seriousFaults, studio, type, unfold, workedOut } from './support/studio.ts';

const grams = (text: string): number => Number(text.replace(/[^\d.]/g, ''));

describe('pots, pour sheet and cut', () => {
  const s = studio();

  it('names, letters, colours and doses a pot', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/colour/pots');
    const pot = await openPot(page, 'A');
    await pot.getByLabel('Name').fill('Deep slate');
    await unfold(page, 'More');
    await pot.getByRole('button', { name: 'Colour of pot A' }).click();
    await page.getByLabel('Any colour').fill('#334455');
    await page.getByRole('button', { name: 'Done' }).click();
    await pot.getByText('Drawn in the colour given by hand.').waitFor();
    await pot.getByLabel('Dose of Slate mica').fill('8');
    await pot.getByText('3.8 g').waitFor();
    await page.getByText('Deep slate').first().waitFor();
    await type(page, 'Letter', 'B');
    await page.getByText('letter B is on two pots').waitFor();
  });

  it('sets a pot’s share through its pours', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/colour/pots');
    const pot = await openPot(page, 'B');
    await unfold(page, 'More');
    await pot.getByLabel('Share poured').fill('30 %');
    await pot.getByLabel('Share poured').blur();
    await workedOut(page);
    expect(await pot.getByLabel('Share poured').inputValue()).to.equal('30 %');
  });

  it('adds up: pots to the batch, portions to the oils and the lye solution', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/colour/pots');
    const rows = async (): Promise<number[][]> =>
      (await page.locator('table tbody tr, table tfoot tr').all()).length === 0
        ? []
        : page
            .locator('table tbody tr, table tfoot tr')
            .evaluateAll((list) =>
              list.map((r) => [...r.querySelectorAll('td')].slice(1).map((c) => c.textContent)),
            )
            .then((list) => list.map((r) => r.map(grams)));
    const split = await rows();
    // the batter's column; the last is the superfat
    expect(split.slice(0, -1).reduce((t, r) => t + r.at(-2)!, 0)).to.equal(split.at(-1)!.at(-2));
    await unfold(page, 'Weights');
    await choose(page.getByRole('radio', { name: 'portions ready before the lye' }));
    await page.getByText('Weigh each jug’s lye solution').waitFor();
    const portions = await rows();
    for (const column of [0, 1])
      expect(portions.slice(0, -1).reduce((t, r) => t + r[column]!, 0)).to.equal(portions.at(-1)![column]);
  });

  it('gives the whole job in order, with cautions, weights and the running total', async () => {
    const page = s.page();
    // an address of before
    await s.go('/plan/demo-slate-beds/pour-day/sheet');
    expect(page.url()).to.match(/\/plan\/demo-slate-beds\/sheet\/acts$/);
    await page.getByRole('heading', { name: 'Wall marks' }).waitFor();
    const titles = await page.locator('main h3').allInnerTexts();
    expect(titles).to.deep.equal([
      'Before anything',
      'Lay out',
      'Lye solution',
      'Oils',
      'Colorants',
      'Emulsify',
      'Divide',
      'Pour',
      'Top',
      'Finish',
      'Unmould and cut',
      'Wall marks',
    ]);
    await page.getByText('Lye into water, never water into lye').waitFor();
    await page.getByText('Wait 4 min.').waitFor();
    await page.getByText('Alcohol mist burns').waitFor();
    const running = await page.getByText(/In the mould now/).allInnerTexts();
    expect(running).to.have.length(5);
    const last = running.at(-1)!.match(/now (.+) of (.+)$/)!;
    expect(last[1]).to.equal(last[2]);
  });

  it('writes the other school of dividing: portions first, then lye into each jug', async () => {
    const page = s.page();
    await s.go('/plan/demo-bracken-bank/sheet');
    const text = await page.locator('main').innerText();
    const ready = text.indexOf('Make ready pot A');
    const lye = text.indexOf('Stir the lye into the water');
    const combine = text.indexOf('weigh its part into pot A');
    expect(ready).to.be.above(0);
    expect(lye).to.be.above(ready);
    expect(combine).to.be.above(lye);
    expect(text.indexOf('Pour 1: pot A')).to.be.above(combine);
  });

  it('the sheet of two moulds is four pages at most, and the card for the bench is one, with the line’s own figures', async () => {
    const page = s.page();
    const pages = async (): Promise<number> =>
      (await page.pdf({ format: 'A4', preferCSSPageSize: true }))
        .toString('latin1')
        .match(/\/Type\s*\/Page\b/g)!.length;
    await s.go('/plan/demo-thrift-ledge/sheet/acts');
    await page.getByText('Before anything').waitFor();
    expect(await pages()).to.be.within(3, 4);
    for (const plan of ['thrift-ledge', 'copper-weir', 'heather-on-peat', 'basalt-columns']) {
      await s.go(`/plan/demo-${plan}/sheet/card`);
      await page.getByRole('list', { name: 'The order of the day' }).waitFor();
      expect(await pages(), plan).to.equal(1);
    }
    await s.go('/plan/demo-copper-weir/sheet/card');
    const rows = await page
      .getByRole('list', { name: 'The order of the day' })
      .getByRole('listitem')
      .allInnerTexts();
    const drops = await page
      .getByRole('button', { name: /^Pour \d+:/ })
      .evaluateAll((list) => list.map((b) => b.getAttribute('aria-label') ?? ''));
    expect(drops.length).to.be.above(4);
    for (const drop of drops) {
      const [, mass, minute] = /, ([\d\u202f]+ g), at (\d+:\d\d) min$/.exec(drop)!;
      expect(
        rows.filter((row) => row.includes(mass!) && row.includes(minute!)),
        drop,
      ).to.have.length(1);
    }
  });

  it('prints the sheet alone, black on white', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet');
    await page.emulateMedia({ media: 'print' });
    for (const gone of ['Stations', 'Drip line: the pours in order'])
      expect(await page.getByRole('navigation', { name: gone }).count()).to.equal(0);
    expect(await page.getByRole('button', { name: 'Print' }).isVisible()).to.equal(false);
    const pdf = await page.pdf({ format: 'A4' });
    const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
    expect(pages).to.be.within(1, 4);
  });

  it('says what is in every jug, act by act, with the numbers of the sheet', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet');
    const steps = page.locator('main ol > li');
    const lye = steps.filter({ hasText: 'Weigh the sodium hydroxide' });
    const number = (await lye.locator('span').first().innerText()).trim();
    const weighed = (await lye.locator('td').innerText()).trim();
    await page.getByRole('link', { name: 'What is in every jug' }).click();
    const act = page.locator('tbody', { hasText: 'Weigh the sodium hydroxide' });
    await act.waitFor();
    expect((await act.locator('th').first().innerText()).trim()).to.match(new RegExp(`^${number}\\s*Weigh`));
    expect(await act.innerText()).to.include(weighed);
    // the oil that colours are in is not in the batch yet: leaner than the 5 % that are planned
    const batch = page
      .locator('tbody', { hasText: 'blend in short bursts' })
      .locator('tr', { hasText: 'The batch' });
    const superfat = Number.parseFloat((await batch.locator('td').nth(2).innerText()).trim());
    expect(superfat).to.be.within(2, 5);
    // a jug that is poured out is empty
    const last = page.locator('tbody', { hasText: 'Pour 5: pot' }).locator('tr', { hasText: 'Jug' });
    expect(Number.parseFloat((await last.locator('td').nth(1).innerText()).trim())).to.be.below(60);
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    await page.emulateMedia({ media: 'print' });
    expect(await page.getByRole('link', { name: 'Pour sheet' }).isVisible()).to.equal(false);
    await page.emulateMedia({ media: 'screen' });
  });

  it('counts bars with kerf, trims and remainder, and offers thicknesses that leave nothing over', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/cut');
    const fact = (name: string) => factOf(page, name);
    expect(await fact('Bars')).to.equal('9 bars');
    await type(page, 'Thickness', '30 mm');
    // 249 - 12 = 237 = 7 x 30 + 6 x 0.5 + 24
    expect(await fact('Bars')).to.equal('7 bars');
    expect(await fact('Left over')).to.equal('24 mm');
    await page.getByRole('button', { name: '8 bars of 29.1 mm' }).click();
    expect(await fact('Bars')).to.equal('8 bars');
    expect(await fact('A bar at the cut')).to.match(/≈\s*19\d g/);
    await type(page, 'Trim, near end', '300 mm');
    await page.getByText('300 mm is outside 0 to 200 mm').waitFor();
  });
});

describe('which way a loaf is cut', () => {
  const at = studio();

  it('is chosen by its picture; blocks are sliced, counted, walked, and told on the sheet', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/cut');
    const best = page.getByRole('button', { name: /parallel to the floor.*shows most of the design/ });
    await best.waitFor();
    await best.click();
    await page.getByRole('heading', { name: 'Cut in blocks, then in slices' }).waitFor();
    await type(page, 'Thickness of a slice', '29');
    await page.getByText(/blocks × 2 slices/).waitFor();
    await type(page, 'Length of a bar', '400');
    await page.getByText(/A loaf of .* gives no block of 400 mm/).waitFor();
    await type(page, 'Length of a bar', '88');
    await page.getByText('3 blocks × 2 slices').waitFor();
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    await page.getByText('lower', { exact: true }).waitFor();
    await page.getByText('near end, foot').first().waitFor();
    await page.getByText('upper', { exact: true }).click();
    expect(await seriousFaults(page)).to.deep.equal([]);
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page
      .getByText(/Cut across into 3 blocks of 88 mm, and slice each parallel to the floor into 2 of 29 mm/)
      .waitFor();
    await page.getByRole('link', { name: /^.*Cut/ }).click();
    await page.getByRole('button', { name: /^Straight across/ }).click();
    await page.getByText('Laid on its side', { exact: false }).click();
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/Lay the loaf on its side, so that nothing drags/).waitFor();
  });
});
