import { expect } from 'chai';
import { decode } from 'fast-png';
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { openTilt } from './support/line.ts';
import { choose, factOf, fieldValue, saved, studio, type, unfold, workedOut } from './support/studio.ts';

const drop = (page: Page, nth: number) => page.getByRole('button', { name: new RegExp(`^Pour ${nth}:`) });

describe('slanted layers', () => {
  const s = studio();
  beforeEach(() => s.go('/plan/demo-copper-weir/design'));
  const atPour = async (nth: number): Promise<void> => {
    await drop(s.page(), nth).click();
    await openTilt(s.page());
    await s.page().getByRole('button', { name: 'Show it at this pour' }).click();
  };

  it('turns the mould by dragging its corner, with the prop and the spill line', async () => {
    const page = s.page();
    await atPour(4);
    await page.getByText('spills above this').waitFor();
    expect(await fieldValue(page, 'Prop, right edge')).to.equal('24.1 mm');
    const handle = page.getByRole('slider', { name: 'Tilt at pour 4' });
    const box = (await handle.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 1; i <= 8; i += 1) await page.mouse.move(x - i * 4, y - i * 3);
    await page.mouse.up();
    const degrees = Number((await fieldValue(page, 'Right edge up')).replace(/[^\d.-]/g, ''));
    expect(degrees).to.be.above(12.4).and.below(40);
    await page.keyboard.press('Control+z');
    expect(await fieldValue(page, 'Right edge up')).to.equal('12 °');
  });

  it('a wait that a pour names is the one on the line; the last tilt finishes level', async () => {
    const page = s.page();
    await drop(page, 2).click();
    await page.getByLabel('Laid on').selectOption('minutes');
    await type(page, 'Stood for', '7');
    await page.getByRole('button', { name: /^wait 7 min/ }).click();
    expect(await fieldValue(page, 'Wait')).to.equal('7 min');
    await type(page, 'Wait', '9');
    await drop(page, 2).click();
    expect(await fieldValue(page, 'Stood for')).to.equal('9 min');
    await page.getByLabel('Laid on').selectOption('bears');
    await workedOut(page);
    expect(await page.getByRole('button', { name: /^wait 9 min/ }).count()).to.equal(0);
    // the last thing that turns the mould is taken out: it ends propped, and that is said at what is last now
    const tilts = page.getByRole('button', { name: /: how the mould stands/ });
    await tilts.last().click();
    await page.keyboard.press('Delete');
    await page.getByText('it sets so, and its top slopes', { exact: false }).waitFor();
    await tilts.last().click();
    await page.getByRole('button', { name: 'Finish level' }).first().click();
    await page.getByText('it sets so, and its top slopes', { exact: false }).waitFor({ state: 'detached' });
  });

  it('keeps the surface level on screen while the mould stands tilted', async () => {
    const page = s.page();
    await atPour(4);
    const line = page.getByRole('slider', { name: /Top of pour 4,/ }).locator('circle');
    const ends = await Promise.all([0, 1].map(async (i) => (await line.nth(i).boundingBox())!));
    expect(ends[0]!.y).to.be.closeTo(ends[1]!.y, 0.6);
  });

  it('can be tilted by keyboard, by degrees, by the prop in inches, and from a line to a line', async () => {
    const page = s.page();
    await atPour(1);
    await page.getByRole('slider', { name: 'Tilt at pour 1' }).focus();
    await page.keyboard.press('ArrowUp');
    expect(await fieldValue(page, 'Right edge up')).to.equal('12.5 °');
    await type(page, 'Right edge up', '8');
    expect(await fieldValue(page, 'Prop, right edge')).to.equal('16.1 mm');
    await type(page, 'Prop, right edge', '1 in');
    expect(await fieldValue(page, 'Right edge up')).to.match(/^12\.6\d? °$/);
    await page.getByText('Pour from a line to a line').click();
    await type(page, 'From, left wall', '25 mm');
    await type(page, 'To, right wall', '5 mm');
    await page.getByRole('button', { name: 'Tilt and pour to these lines' }).click();
    expect(await fieldValue(page, 'Left wall')).to.equal('25 mm');
    expect(await fieldValue(page, 'Right wall')).to.equal('5 mm');
  });

  it('keeps the marks on the walls, mass and share of a slant together', async () => {
    const page = s.page();
    await drop(page, 2).click();
    await openTilt(page);
    await type(page, 'Left wall', '32 mm');
    const [mass, share] = [await fieldValue(page, 'Mass'), await fieldValue(page, 'Share')];
    await type(page, 'Mass', mass);
    expect(await fieldValue(page, 'Left wall')).to.equal('32 mm');
    expect(await fieldValue(page, 'Share')).to.equal(share);
  });

  it('drags a slanted surface by its end', async () => {
    const page = s.page();
    await drop(page, 4).click();
    await openTilt(page);
    const before = await fieldValue(page, 'Left wall');
    const end = (await page
      .getByRole('slider', { name: /Top of pour 4,/ })
      .locator('circle')
      .last()
      .boundingBox())!;
    await page.mouse.move(end.x + 6, end.y + 6);
    await page.mouse.down();
    for (let i = 1; i <= 6; i += 1) await page.mouse.move(end.x + 6, end.y + 6 - i * 2);
    await page.mouse.up();
    expect(await fieldValue(page, 'Left wall')).to.not.equal(before);
    expect(await fieldValue(page, 'Right edge up')).to.equal('12 °');
  });

  it('slants a whole loaf in one command: zigzag, chevrons, all level', async () => {
    const page = s.page();
    await page.getByText('Slants', { exact: true }).click();
    await page.getByRole('button', { name: 'All level' }).click();
    await workedOut(page);
    expect(await page.getByText('6 pours', { exact: true }).count()).to.equal(1);
    await page.getByRole('button', { name: 'Zigzag' }).click();
    await page.getByText('6 pours, 6 tilts').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Chevrons' }).click();
    await page.getByText('11 pours, 11 tilts').waitFor();
  });

  it('says what would spill with a remedy, and one press cures it', async () => {
    const page = s.page();
    await drop(page, 4).click();
    await openTilt(page);
    await type(page, 'Right edge up', '55');
    const warnings = page.getByRole('list', { name: 'Warnings' });
    await warnings
      .getByText(/spills by \d+ g/)
      .first()
      .waitFor();
    await warnings
      .getByRole('button', { name: /Tilt no steeper than/ })
      .first()
      .click();
    expect(Number((await fieldValue(page, 'Right edge up')).replace(/[^\d.]/g, ''))).to.be.below(55);
  });

  it('refuses a tilt beyond 60 degrees at the field, and keeps the last good one', async () => {
    const page = s.page();
    await drop(page, 1).click();
    await openTilt(page);
    await type(page, 'Right edge up', '70');
    await page.getByText('70 ° is outside -60 to 60 °').waitFor();
    await page.getByRole('textbox', { name: 'Right edge up' }).press('Escape');
    expect(await fieldValue(page, 'Right edge up')).to.equal('12 °');
  });

  it('shows the loaf from the side, from above, cut away and turned, and walks the bars', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Side', exact: true }).click();
    await page.getByRole('group', { name: /Side of the loaf/ }).waitFor();
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await page.getByRole('group', { name: /straight above/ }).waitFor();
    await page.getByRole('button', { name: 'Loaf', exact: true }).click();
    const loaf = page.getByRole('img', { name: /three dimensions/ });
    const before = await loaf.locator('polygon').first().getAttribute('points');
    await loaf.focus();
    await page.keyboard.press('ArrowRight');
    expect(await loaf.locator('polygon').first().getAttribute('points')).to.not.equal(before);
    await page.getByLabel('Cut away from the near end').fill('60');
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    await page.getByText('Bar 1 of 9').waitFor();
    await page.getByRole('button', { name: 'Bar after' }).click();
    await page.getByText('Bar 2 of 9').waitFor();
  });

  it('shows that bars differ when the slant runs along the loaf', async () => {
    const page = s.page();
    await page.getByText('Slants', { exact: true }).click();
    await choose(page.getByRole('radio', { name: 'an end' }));
    await type(page, 'Angle', '6');
    await page.getByRole('button', { name: 'Zigzag' }).click();
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    const face = (n: number) =>
      page
        .getByRole('button', { name: `Bar ${n}`, exact: true })
        .locator('path')
        .first()
        .getAttribute('d');
    expect(await face(1)).to.not.equal(await face(9));
  });

  it('shows every bar with its sides, says where it comes from, and saves the pictures', async () => {
    const page = s.page();
    await s.go('/plan/demo-chalk-scar/cut');
    const bars = page.getByRole('region', { name: 'Every bar' }).getByRole('listitem');
    await bars.nth(26).waitFor();
    expect(await bars.count()).to.equal(27);
    expect(await bars.nth(0).innerText()).to.match(/^1 · near end, left wall · \d+ g$/);
    expect(await bars.nth(13).innerText()).to.match(/^14 · centre · \d+ g$/);
    expect(await bars.nth(0).locator('svg').count()).to.equal(3);
    const [sheet] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'On one sheet, .png' }).click(),
    ]);
    expect(sheet.suggestedFilename()).to.equal('chalk-scar-bars.png');
    const { width, height } = decode(readFileSync(await sheet.path()));
    expect(Math.min(width, height)).to.be.above(600);

    await s.go('/plan/demo-copper-weir/cut');
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    await page.getByText('near end', { exact: true }).waitFor();
    const drawn = (): Promise<string | null> =>
      page.getByRole('button', { name: 'Bar 1', exact: true }).locator('path').nth(4).getAttribute('d');
    const near = await drawn();
    await choose(page.getByRole('radio', { name: 'far' }));
    expect(await drawn()).to.not.equal(near);
    const [picture] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Picture, .png' }).click(),
    ]);
    expect(picture.suggestedFilename()).to.equal('copper-weir-bar-1-far-face.png');
    const saved = decode(readFileSync(await picture.path()));
    expect(Math.max(saved.width, saved.height)).to.equal(1200);
    // the wedge of pool green is thick at the left of a far face: as it is on screen
    const at = (Math.floor(0.4 * saved.height) * saved.width + Math.floor(0.1 * saved.width)) * 4;
    const hex = `#${[...saved.data.slice(at, at + 3)].map((n) => n.toString(16).padStart(2, '0')).join('')}`;
    const fills = await page
      .getByRole('button', { name: 'Bar 1', exact: true })
      .locator('path')
      .evaluateAll((list) => list.map((p) => p.getAttribute('fill')));
    expect(fills).to.include(hex);
  });

  it('puts props and wall marks on the pour sheet, and saves the marks as SVG', async () => {
    const page = s.page();
    await s.go('/plan/demo-copper-weir/sheet');
    await page.getByText(/Prop the mould: 24\.1 mm \(0\.95 in\) under the right edge, 12°/).waitFor();
    await page
      .getByText(/on the left wall and/)
      .first()
      .waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as SVG' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('copper-weir-wall-marks.svg');
  });
});

describe('prop first', () => {
  const s = studio();

  it('a spoon under a corner makes both angles, is drawn where it stands, and is on the sheet', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    await page
      .getByRole('button', { name: /^Pour 3/ })
      .first()
      .click();
    await openTilt(page);
    await page.getByLabel('Prop it on').selectOption({ label: 'spoon handle, 15 mm' });
    const props = page.getByRole('group', { name: 'Propped by' });
    await props.getByLabel('under').selectOption('right-far');
    // foot 91 + 2 x 12.5 wide, 249 + 25 long, all of it from the mould: 15 / (B + L - 60) each way
    expect(await fieldValue(page, 'Right edge up')).to.match(/^2\.\d+ °$/);
    expect(await fieldValue(page, 'Far end up')).to.match(/^2\.\d+ °$/);
    await page.getByText('spoon handle 15 mm, right far corner').waitFor();
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await page
      .getByRole('group', { name: 'What the mould is propped on' })
      .getByText('spoon handle 15 mm')
      .waitFor();
    await page.getByRole('button', { name: 'Section', exact: true }).click();
    await props.getByLabel('From the corner, each way').fill('4 mm');
    await props.getByLabel('From the corner, each way').press('Enter');
    await page.getByText(/free to rock on its diagonal/).waitFor();
    await props.getByLabel('From the corner, each way').press('Escape');
    await props.getByLabel('High').first().fill('300 mm');
    await props.getByLabel('High').first().press('Enter');
    await page.getByText(/300 mm is higher than the mould is wide/).waitFor();
    await props.getByLabel('High').first().press('Escape');
    await saved(page);
    await s.go('/plan/demo-slate-beds/sheet');
    await page
      .getByText(
        /Prop the mould: spoon handle, 15 mm \(0\.59 in\), across under the right far corner, 60 mm from it/,
      )
      .waitFor();
  });

  it('says which of one’s own things make a tilt that was drawn, and takes them', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    await page
      .getByRole('button', { name: /^Pour 2/ })
      .first()
      .click();
    await openTilt(page);
    await page.getByText('Things to hand').click();
    await page.getByLabel('Thing', { exact: true }).nth(1).fill('butter knife');
    await page.getByLabel('High').nth(1).fill('12 mm');
    await type(page, 'Right edge up', '6');
    const way = page.getByRole('list', { name: 'What makes about this tilt' });
    await way.getByRole('button', { name: /^butter knife \(12 mm\) under the right edge$/ }).click();
    await page.getByRole('group', { name: 'Propped by' }).getByText('butter knife').first().waitFor();
    await page.reload();
    await page
      .getByRole('button', { name: /^Pour 1/ })
      .first()
      .click();
    await openTilt(page);
    await page.getByLabel('Prop it on').getByText('butter knife, 12 mm').waitFor({ state: 'attached' });
  });
});

describe('moulds of every kind', () => {
  const s = studio();
  beforeEach(() => s.go('/plan/demo-slate-beds/mould'));
  const rim = () => factOf(s.page(), 'To the rim');

  it('draws and measures each shape', async () => {
    const page = s.page();
    for (const [shape, field, text, volume] of [
      ['half-round trough', 'Diameter', '90 mm', '775 ml'],
      ['tube, lying', 'Diameter', '80 mm', '1\u202f221 ml'],
      ['tube, standing', 'Height', '120 mm', '586 ml'],
      ['odd shape, measured by water', 'Water it holds', '1500 g', null],
    ] as const) {
      await page.getByLabel('Shape').selectOption(shape);
      await type(page, field, text);
      if (volume !== null) expect(await rim(), shape).to.equal(volume);
      expect(
        await page
          .getByRole('group', { name: /Section of the loaf/ })
          .locator('path')
          .count(),
      ).to.be.above(5);
    }
    await page.getByText('an assumed section').waitFor();
  });

  it('takes a divider and a column, and refuses them outside the mould', async () => {
    const page = s.page();
    await unfold(page, 'What stands in it');
    await page.getByRole('button', { name: 'Put one in' }).click();
    await type(page, 'Wall 1, from the left', '200 mm');
    await page.getByText(/walls at 200 mm do not leave 8 mm/).waitFor();
    await page.getByRole('textbox', { name: 'Wall 1, from the left' }).press('Escape');
    await page.getByRole('button', { name: 'Take it out' }).first().click();
    await page.getByRole('button', { name: 'Stand one in' }).click();
    await type(page, 'Across', '120 mm');
    await page.getByText(/a column 120 mm across does not fit there/).waitFor();
    await page.getByRole('textbox', { name: 'Across' }).press('Escape');
    await type(page, 'Across', '40 mm');
    await page.getByRole('button', { name: /^Hold back \d+ g/ }).click();
    await page.getByText(/Pulling the column leaves/).waitFor({ state: 'detached' });
  });

  it('keeps moulds of one’s own, uses them elsewhere, and leaves old plans alone', async () => {
    const page = s.page();
    await type(page, 'Name', 'My long loaf');
    await type(page, 'Length', '300 mm');
    await unfold(page, 'My moulds');
    await page.getByRole('button', { name: 'Keep this mould' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export My long loaf' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('my-long-loaf.dripline-mould.json');
    await s.go('/plan/demo-copper-weir/mould');
    await page.getByLabel('Poured in', { exact: true }).selectOption('My long loaf (mine)');
    expect(await fieldValue(page, 'Length')).to.equal('300 mm');
    await type(page, 'Length', '320 mm');
    await unfold(page, 'My moulds');
    await page.getByRole('button', { name: /Keep the change/ }).click();
    await s.go('/plan/demo-slate-beds/mould#my-moulds');
    expect(await fieldValue(page, 'Length')).to.equal('300 mm');
    await page.locator('input[aria-label="Mould file"]').setInputFiles({
      name: 'bad.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"format":"drip-line/mould","version":1,"mould":{}}'),
    });
    await page
      .getByRole('alert')
      .getByText(/“bad.json” was not taken/)
      .waitFor();
  });

  it('keeps what is typed also where it is still being worked out', async () => {
    const page = s.page();
    await unfold(page, 'My moulds');
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 80 });
    const keep = page.getByRole('button', { name: 'Keep this mould' });
    await keep.evaluate((it) => {
      for (const [name, text] of [
        ['Length', '300 mm'],
        ['Width', '85 mm'],
      ]) {
        const field = [...document.querySelectorAll('label')].find((l) => l.textContent === name)!.control!;
        field.focus();
        Reflect.set(HTMLInputElement.prototype, 'value', text, field);
        field.dispatchEvent(new Event('input', { bubbles: true }));
      }
      (it as HTMLElement).click();
    });
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: /^Export/ }).click(),
    ]);
    expect(readFileSync(await download.path(), 'utf8'))
      .to.match(/"lengthMm": ?300/)
      .and.to.match(/"widthMm": ?85/);
  });

  it('fills several moulds alike from one batch', async () => {
    const page = s.page();
    await type(page, 'Moulds filled alike from this batch', '2');
    await s.go('/plan/demo-slate-beds/sheet');
    await page.getByText('Batter into each of 2 moulds').first().waitFor();
  });
});
