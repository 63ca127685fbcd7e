import { expect } from 'chai';
import { openTilt } from './support/line.ts';
import { begin } from './support/begin.ts';
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { fieldValue, saved, seriousFaults, studio, type, unfold, openPot } from './support/studio.ts';

const visibleButtons = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, .btn, select')]
      .filter((b) => b.offsetWidth > 0 && !b.closest('li'))
      .map((b) => b.textContent),
  );

describe('plans that can be told apart', () => {
  const s = studio({ opens: true });

  it('a plan that is imported again gets a name of its own, and nothing stored changes', async () => {
    const page = s.page();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export Slate Beds' }).click(),
    ]);
    const file = {
      name: 'slate-beds.dripline.json',
      mimeType: 'application/json',
      buffer: readFileSync(await download.path()),
    };
    for (const name of ['Slate Beds (2)', 'Slate Beds (3)']) {
      await page.getByLabel('Plan and batch files').setInputFiles(file);
      await page.getByRole('article', { name, exact: true }).waitFor();
      await page.getByText(`On the shelf: ${name}`).waitFor();
    }
    expect(await page.getByRole('article', { name: 'Slate Beds', exact: true }).count()).to.equal(1);
  });

  it('a new plan begins with the units and scales chosen last', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/mould');
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    await page.getByText('in', { exact: true }).click();
    await page.getByText('oz', { exact: true }).click();
    await page.getByLabel('Bench scale shows').selectOption('0.1');
    await page.getByRole('button', { name: 'Done' }).click();
    await saved(page);
    await page.goto(s.url());
    await begin(page, 'Blank');
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    expect(await fieldValue(page, 'Length')).to.match(/ in$/);
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    expect(await page.getByLabel('Bench scale shows').inputValue()).to.equal('0.1');
  });

  it('colours that were chosen at the beginning become doses by one press, with how near each comes', async () => {
    const page = s.page();
    await page.getByRole('link', { name: 'New plan' }).first().click();
    await page.getByRole('button', { name: 'Weir copper', pressed: true }).click();
    await page.getByRole('button', { name: 'Straight layers', exact: true }).click();
    await page.getByRole('link', { name: /^.*Sheet/ }).click();
    await page.getByText('without colour').waitFor();
    await page.getByRole('link', { name: /^.*Colour/ }).click();
    await page.getByText(/drawn in a colour given by hand but takes? no colorant/).waitFor();
    await page.getByRole('button', { name: /^Colour (it|them) from the colorants at hand$/ }).click();
    const found = page.getByRole('list', { name: 'What was found' });
    await found
      .getByText(/g\/kg .* · (unseen|hardly seen), [\d.]+ away/)
      .first()
      .waitFor();
    const pot = page.getByRole('listitem', { name: 'Pot B', exact: true });
    await pot.getByText(/^[\d.]+ g\/kg /).waitFor();
    await page.getByText(/drawn in a colour given by hand but/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Undo' }).click();
    await pot.getByText('only drawn').waitFor();
    await found.waitFor({ state: 'detached' });
    // one by one: what is put in shows at once
    await openPot(page, 'B');
    await pot.getByText('Drawn in the colour given by hand.').waitFor();
    await pot.getByLabel('Add a colorant').selectOption({ label: 'Slate mica' });
    await pot.getByText('Drawn in the colour given by hand.').waitFor({ state: 'detached' });
  });
});

describe('the sheet under wet hands and on paper', () => {
  const s = studio({ opens: true });

  it('only what is drawn as a control takes a press', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet');
    const row = page.getByText(/^Pour 2: pot B/);
    await row.click();
    expect(await page.getByRole('button', { name: /^Pour 2: B/ }).getAttribute('aria-pressed')).to.equal(
      'false',
    );
    const show = page.getByRole('button', { name: 'Show pour of pot B in the section' }).first();
    await show.click();
    expect(await show.getAttribute('aria-pressed')).to.equal('true');
    expect(await page.getByRole('button', { name: /^Pour 2: B/ }).getAttribute('aria-pressed')).to.equal(
      'true',
    );
  });

  it('draws nothing anew for a keystroke in the notes', async () => {
    const page = s.page();
    await s.go('/plan/demo-copper-weir/colour');
    // its odds come when they come: they are none of it
    await page.getByRole('link', { name: /Clock holds \d+ of 100/ }).waitFor();
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    await page.getByRole('textbox', { name: 'Notes' }).focus();
    await page.evaluate(async () => {
      const changes: string[] = [];
      Object.assign(window, { changes });
      for (const part of document.querySelectorAll('main, nav, svg'))
        if (!part.closest('dialog'))
          new MutationObserver((list) => changes.push(...list.map((m) => m.type))).observe(part, {
            subtree: true,
            childList: true,
            attributes: true,
            characterData: true,
          });
      // what is still being read and drawn when the page opens is none of it
      for (let quiet = 0; quiet < 8; quiet = changes.splice(0).length > 0 ? 0 : quiet + 1)
        await new Promise((done) => setTimeout(done, 100));
    });
    await page.keyboard.type('poured by the east window');
    await page.getByRole('button', { name: 'Done' }).click();
    await saved(page);
    expect(await page.evaluate(() => (window as unknown as { changes: string[] }).changes)).to.deep.equal([]);
    await page.reload();
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    expect(await page.getByRole('textbox', { name: 'Notes' }).inputValue()).to.match(
      /poured by the east window/,
    );
  });

  it('draws boxes to tick on paper only, where they can be ticked', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/sheet');
    const boxes = (): Promise<number> =>
      page.evaluate(
        () =>
          [...document.querySelectorAll<HTMLElement>('main li > span[aria-hidden]')].filter(
            (b) => b.offsetWidth > 0,
          ).length,
      );
    expect(await boxes()).to.equal(0);
    await page.emulateMedia({ media: 'print' });
    expect(await boxes()).to.be.above(20);
  });

  it('prints no button, the loaf, legible letters and boxes, in the evening too', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Evening colours' }).click();
    await s.go('/plan/demo-bracken-bank/sheet');
    await page.emulateMedia({ media: 'print' });
    expect(await visibleButtons(page)).to.deep.equal([]);
    const paper = await page.evaluate(() => {
      const box = document.querySelector('main li > span[aria-hidden]');
      const badge = document.querySelector<HTMLElement>('main li button span');
      const figure = document.querySelector('main figure');
      return {
        text: getComputedStyle(document.body).color,
        ground: getComputedStyle(document.body).backgroundColor,
        boxEdge: box && getComputedStyle(box).borderTopColor,
        badgePrinted: badge && getComputedStyle(badge).getPropertyValue('print-color-adjust'),
        loaf: figure?.querySelectorAll('path').length ?? 0,
        loafWidth: figure?.getBoundingClientRect().width ?? 0,
      };
    });
    expect(paper.text).to.equal('rgb(0, 0, 0)');
    expect(paper.ground).to.equal('rgb(255, 255, 255)');
    expect(paper.boxEdge).to.equal('rgb(0, 0, 0)');
    expect(paper.badgePrinted).to.equal('exact');
    expect(paper.loaf).to.be.above(3);
    expect(paper.loafWidth).to.be.above(150);
  });

  it('has the plan’s name and the page number on every page, and no page that is nearly empty', async () => {
    const page = s.page();
    await s.go('/plan/demo-bracken-bank/sheet');
    const rules = await page.evaluate(() =>
      document.adoptedStyleSheets.flatMap((sheet) => [...sheet.cssRules].map((r) => r.cssText)).join(' '),
    );
    expect(rules).to.match(/@top-left \{ content: "Bracken Bank: pour sheet"/);
    expect(rules).to.match(/@bottom-right \{ content: counter\(page\) " of " counter\(pages\)/);
    const pdf = (await page.pdf({ format: 'A4', preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).to.have.length(3);
    // gone with the sheet: other pages print without it
    await page.getByRole('link', { name: /Cut/ }).click();
    await page.getByRole('heading', { name: /^Cut,/ }).waitFor();
    expect(await page.evaluate(() => document.adoptedStyleSheets.length)).to.equal(0);
  });
});

for (const [name, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a tablet held upright', { width: 820, height: 1180 }],
] as const)
  describe(`the plan on ${name}`, () => {
    const s = studio({ viewport });

    it('shows every station with its mark, and the plan’s name', async () => {
      const page = s.page();
      await s.go('/plan/demo-slate-beds/design');
      for (const station of ['Mould', 'Design', 'Batter', 'Colour', 'Sheet', 'Cut']) {
        const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: station });
        const box = (await link.boundingBox())!;
        expect(box.x, station).to.be.at.least(0);
        expect(box.x + box.width, station).to.be.at.most(viewport.width + 0.5);
        const mark = (await link.getByRole('img').boundingBox())!;
        expect(mark.width, station).to.be.above(12);
      }
      const title = await page
        .getByRole('heading', { name: 'Slate Beds' })
        .evaluate((h) => h.scrollWidth <= h.clientWidth);
      expect(title).to.equal(true);
    });

    it('folds the section to a strip and back; the working panel has half the screen', async () => {
      const page = s.page();
      await s.go('/plan/demo-slate-beds/batter');
      const strip = page.getByRole('button', { name: 'Show the section' });
      if (!(await strip.isVisible()))
        await page.getByRole('button', { name: 'Fold the section to a strip' }).click();
      const panel = (await page.locator('main').boundingBox())!;
      expect(panel.height / viewport.height).to.be.above(0.5);
      expect((await strip.boundingBox())!.height).to.be.below(100);
      await strip.click();
      await page.getByRole('group', { name: /^Section of the loaf/ }).waitFor();
      await page.getByRole('button', { name: 'Fold the section to a strip' }).click();
      await strip.waitFor();
    });
  });

describe('words before figures', () => {
  const s = studio();

  it('nowhere speaks in names that say nothing to a maker', async () => {
    const page = s.page();
    for (const path of [
      'demo-heather-on-peat/colour/ombre',
      'demo-copper-weir/colour/mixing',
      'demo-copper-weir/design',
      'demo-slate-beds/batter',
    ]) {
      await s.go(`/plan/${path}`);
      if (path.endsWith('design')) await page.getByRole('button', { name: /^Pour 2:/ }).click();
      const text = (await page.locator('body').innerText()).toLowerCase();
      for (const word of ['ciede', 'gimp', 'effective fall', 'stage 2', '(from memory)'])
        expect(text, `${path}: ${word}`).to.not.contain(word);
    }
    await s.go('/plan/demo-heather-on-peat/colour/ombre');
    await page
      .getByText(/strong, [\d.]+/)
      .first()
      .waitFor();
  });

  it('shows what the keyboard can do', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    await page.getByRole('button', { name: 'Help' }).click();
    await page.getByText('Alt Left, Alt Right on a drop').waitFor();
    await page.keyboard.press('Escape');
  });

  it('an angle field says that it wants an angle', async () => {
    const page = s.page();
    await s.go('/plan/demo-copper-weir/design');
    await page.getByRole('button', { name: /^Pour 2:/ }).click();
    await openTilt(page);
    await type(page, 'Right edge up', '15 mm');
    await page.getByText('"15 mm" is a length; an angle in degrees is wanted here').waitFor();
  });

  it('a drop that is dragged is spoken of by its pot, not by its id', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    const [from, to] = [
      page.getByRole('button', { name: /^Pour 1:/ }),
      page.getByRole('button', { name: /^Pour 3:/ }),
    ];
    const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
    await page.mouse.move(a.x + a.width / 2, a.y + 30);
    await page.mouse.down();
    await page.mouse.move(a.x + a.width / 2 + 40, a.y + 30, { steps: 4 });
    await page.mouse.move(b.x + b.width / 2, b.y + 30, { steps: 8 });
    await page.mouse.up();
    const said = await page.locator('[id^="DndLiveRegion"]').innerText();
    expect(said).to.match(/pour \d, pot [A-Z] now takes the place of pour \d, pot [A-Z]/i);
  });
});

describe('what a mould gives', () => {
  const s = studio({ opens: true });

  it('a slab for 27 bars gives 27, and a standing tube is cut into discs', async () => {
    const page = s.page();
    await begin(page, 'Straight layers');
    await page.getByRole('link', { name: /^.*Mould/ }).click();
    await page.getByLabel('Poured in', { exact: true }).selectOption({ label: 'Slab for 27 bars' });
    await page.getByText('27 bars', { exact: true }).first().waitFor();
    await page.getByLabel('Poured in', { exact: true }).selectOption({ label: 'Standing tube, 3 in' });
    await page.getByRole('link', { name: /^.*Cut/ }).click();
    await page.getByRole('heading', { name: 'Cut into discs' }).waitFor();
    await page.getByRole('button', { name: 'Bars', exact: true }).click();
    await page.getByText(/^Bar 1 of (9|10)$/).waitFor();
    await page.getByRole('link', { name: /^.*Sheet/ }).click();
    await page.getByText(/^Cut (9|10) discs of/).waitFor();
  });

  it('a mould too small hides no weight of the recipe', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#recipe');
    await page.getByLabel('Sized by').selectOption({ label: 'given oils' });
    await type(page, 'Oils in all', '4000 g');
    await unfold(page, 'Lye and water');
    const lye = page.getByText('Sodium hydroxide, rounded down').locator('..');
    await lye.getByText(/[5-9]\d\d g/).waitFor();
    expect(Number((await lye.innerText()).replaceAll(/[^\d]/g, ''))).to.be.above(500);
    await page.getByRole('link', { name: /^.*Sheet/ }).click();
    await page.getByText('There is no sheet while something is refused').waitFor();
  });

  it('milk alone as water is refused, then dissolved slowly on ice', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#added');
    await page.getByRole('button', { name: 'Add milk, aloe…' }).click();
    await type(page, 'of the water', '100 %');
    await page.getByText(/the milk going in later: the lye cannot dissolve/).waitFor();
    await page.getByRole('button', { name: 'Dissolve it slowly in frozen milk, on ice' }).click();
    await page.getByText(/The lye is dissolved in frozen milk/).waitFor();
    await page.getByRole('link', { name: /^.*Sheet/ }).click();
    await page.getByText(/Stand the jug in a bowl of ice/).waitFor();
  });
});

for (const [name, viewport, notes] of [
  ['a desk', { width: 1280, height: 800 }, 3],
  ['a phone', { width: 390, height: 844 }, 1],
] as const)
  describe(`a first visit at ${name}`, () => {
    const s = studio({ introduced: false, viewport });

    it('explains itself in place, once, and again under Help with the words of the trade', async () => {
      const page = s.page();
      await s.go('/plan/demo-slate-beds/design');
      const shown = page.getByRole('complementary', { name: /, explained$/ });
      await shown.first().waitFor();
      expect(await shown.filter({ visible: true }).count()).to.equal(notes);
      expect(await seriousFaults(page)).to.deep.equal([]);
      expect(
        await page.evaluate(() => [
          document.documentElement.scrollWidth - innerWidth,
          document.documentElement.scrollHeight - innerHeight,
        ]),
      ).to.deep.equal([0, 0]);
      await page
        .getByRole('button', { name: 'Close the explanations' })
        .filter({ visible: true })
        .first()
        .click();
      expect(await shown.filter({ visible: true }).count()).to.equal(0);
      await page.reload();
      await page.locator('main h2').first().waitFor();
      expect(await shown.count()).to.equal(0);
      await page.getByRole('button', { name: 'Help' }).click();
      const help = page.getByRole('dialog', { name: 'Help' });
      await help.getByText('The line of drops').waitFor();
      await help.getByLabel('Find a word').fill('lye-heavy');
      await help.getByText(/more lye than the oils can use/).waitFor();
      expect(await help.getByRole('region', { name: 'Words' }).getByRole('term').count()).to.equal(1);
    });
  });
