import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import ICAL from 'ical.js';
import type { Page } from 'playwright-core';
import {
  fieldValue,
  saved,
  seriousFaults,
  studio,
  type as typeIn,
  unfold,
  workedOut,
} from './support/studio.ts';

const clockTo = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('navigation', { name: 'Clock' }).getByRole('link', { name }).click();
};

/** Of a hundred times, how often it holds, once that is worked out for the plan as it is. */
const holds = async (page: Page): Promise<number> => {
  await workedOut(page);
  await page.locator('main p.text-3xl:not(.opacity-50)', { hasText: 'of 100' }).waitFor();
  const words = (await page.locator('main p.text-3xl').innerText()).replace('holds ', '');
  if (words.startsWith('under')) return 0;
  return words.startsWith('over') ? 99 : Number(words.split(' ')[0]);
};

const pourOf = (page: Page, nth: number) =>
  page.getByRole('slider', { name: new RegExp(`^Pour ${nth} \\(`) });

const minuteOf = async (page: Page, nth: number): Promise<number> => {
  await workedOut(page);
  return Number(await pourOf(page, nth).getAttribute('aria-valuenow'));
};

describe('the clock in the browser', () => {
  const at = studio();

  it('shows every pot through time, what hands do, and the loaf at a minute; the line of drops is in time', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-steps/clock');
    expect(await holds(page)).to.be.within(80, 98);
    // most of what fails is not knowing the recipe: one answer, and it is known
    await page.getByText('When did it last get to medium?').waitFor();
    const guessed = await holds(page);
    await typeIn(page, 'From light to medium', '14');
    await page.getByText(/known to within a quarter/).waitFor();
    expect(await holds(page)).to.be.above(guessed);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('When did it last get to medium?').waitFor();
    expect(
      await page.getByRole('list', { name: 'Pots through time' }).getByRole('listitem').count(),
    ).to.equal(5);
    await page.getByRole('link', { name: /Clock.*holds (over )?\d+ of 100/ }).waitFor();
    // each pour later than the one before, on the lanes and on the line alike
    let before = -1;
    for (let nth = 1; nth <= 5; nth += 1) {
      const minute = await minuteOf(page, nth);
      expect(minute).to.be.above(before);
      before = minute;
      const words = (await pourOf(page, nth).getAttribute('aria-valuetext')) ?? '';
      await page.getByRole('button', { name: new RegExp(`^Pour ${nth}: .*at ${words}`) }).waitFor();
    }
    // the section at a moment: two pours are in by then
    await page.getByRole('slider', { name: 'The loaf at this minute' }).fill('5');
    await page.getByText('as it stands at pour 2').waitFor();
    await page.getByText('15 min late').click();
    await page.getByText('drawn', { exact: true }).click();
    await page
      .getByText(/needs no thicker|Your hands/)
      .first()
      .waitFor();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });

  it('a pour dragged too early breaks through at once, is marked in the section, and let go holds again', async () => {
    const page = at.page();
    await at.go('/plan/demo-copper-weir/clock');
    const soft = await minuteOf(page, 2);
    // a straight border waits longer
    await page.getByText('straight', { exact: true }).click();
    const was = await minuteOf(page, 2);
    expect(was).to.be.above(soft + 1);
    const box = await pourOf(page, 2).boundingBox();
    if (!box) throw new Error('no drop');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x - 30, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
    expect(await minuteOf(page, 2)).to.be.below(was - 1);
    // by the field: hands are free by then, and the layer does not carry it
    await typeIn(page, 'Pour 2 (pot B): minute', '5:06');
    await page.getByText(/Pour 2 \(pot B\) .* breaks through/).waitFor();
    // a minute that cannot be is said, not moved
    await typeIn(page, 'Pour 2 (pot B): minute', '4:50');
    await page.getByText(/earliest 5:05, because hands are busy with “colour, pot B” until 4:44/).waitFor();
    await page.getByLabel('Pour 2 (pot B): minute').press('Escape');
    await page.locator('section[aria-label="Views of the loaf"]').getByText('breaks through').waitFor();
    await page.getByRole('link', { name: /take care Clock/ }).waitFor();
    await typeIn(page, 'Pour 2 (pot B): minute', '-3');
    await page.getByText(/minutes count from 0/).waitFor();
    await page.getByLabel('Pour 2 (pot B): minute').press('Escape');
    await page.getByRole('button', { name: 'All as soon as they can be' }).click();
    await page
      .getByText(/breaks through/)
      .first()
      .waitFor({ state: 'detached' });
    expect(await minuteOf(page, 2)).to.be.closeTo(was, 0.01);
  });

  it('a pour laid on what is fluid waits for nothing, says how rough its border is, and is drawn so; undo gives it back', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-steps/clock');
    await page.getByText('straight', { exact: true }).click();
    await page.getByRole('link', { name: /Design/ }).click();
    await page
      .getByRole('button', { name: /^Pour 3:/ })
      .first()
      .click();
    await page.getByLabel('Land it').selectOption({ label: 'in a stream' });
    await page.getByRole('link', { name: /Clock/ }).click();
    const waited = await minuteOf(page, 3);
    await page.getByRole('link', { name: /Design/ }).click();
    await page.getByLabel('Laid on').selectOption({ label: 'what is fluid' });
    await page.getByText(/No wait: the border is rough by ≈ \d/).waitFor();
    await page.locator('canvas[data-swirl="sharp"]').first().waitFor();
    await page.getByRole('link', { name: /Clock/ }).click();
    expect(await minuteOf(page, 3)).to.be.below(waited);
    await page.getByText(/on fluid: border ± \d+ mm/).waitFor();
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/At once, while what is below is fluid: their border is rough by/).waitFor();
    for (let i = 0; i < 3; i += 1) await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText(/At once, while what is below is fluid/).waitFor({ state: 'detached' });
    await saved(page);
  });

  it('by keyboard: arrows move a pour, Delete lets it go, undo takes each back', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-steps/clock');
    const was = await minuteOf(page, 5);
    await pourOf(page, 5).focus();
    await page.keyboard.press('ArrowRight');
    expect(await minuteOf(page, 5)).to.be.closeTo(was + 0.25, 0.06);
    await page.keyboard.press('Delete');
    expect(await minuteOf(page, 5)).to.be.closeTo(was, 0.01);
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await minuteOf(page, 5)).to.be.closeTo(was + 0.25, 0.06);
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await minuteOf(page, 5)).to.be.closeTo(was, 0.01);
  });

  it('plans it: three ways that differ with reasons, minutes and odds; one press takes one, one undo gives it back', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-slump/clock');
    expect(await holds(page)).to.be.below(50);
    await clockTo(page, 'Plan it for me');
    await page.getByRole('button', { name: 'Plan it for me' }).click();
    await page.getByRole('listitem', { name: 'Way 3' }).waitFor();
    await page.getByText(/What fails most often: pour \d/).waitFor();
    const way = page.getByRole('listitem', { name: /^Way/ }).filter({ hasText: 'Scent each jug' }).first();
    expect(await way.innerText())
      .to.match(/\d+ of 100/)
      .and.to.match(/≈ \d+ min/)
      .and.to.match(/jug/);
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    await way.getByRole('button', { name: 'Take this way' }).click();
    await page.getByText('The plan has changed since.').waitFor();
    await clockTo(page, 'When to pour');
    expect(await holds(page)).to.be.above(80);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page
      .getByText(/comes when its batter is/)
      .first()
      .waitFor();
    await saved(page);
  });

  it('says what it rests on: a figure of one’s own comes before an estimate, and the estimate comes back', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-steps/clock/conditions');
    const field = 'From light to medium';
    const estimated = await fieldValue(page, field);
    await typeIn(page, field, '8');
    await page.getByText(/So it takes ≈ 8 min from light to medium/).waitFor();
    await page.getByRole('button', { name: 'given; estimate it again' }).click();
    expect(await fieldValue(page, field)).to.equal(estimated);
    await typeIn(page, field, '0.01');
    await page.getByText(/^0\.01 min is outside \d/).waitFor();
    await page.getByLabel(field).press('Escape');
    // temperatures live at the lye: a link leads to them
    await page.getByRole('link', { name: 'Change it under Batter' }).click();
    // hard oils melted, liquid ones from the shelf: 25 % palm, 25 % coconut and 10 % shea at 60, the rest at
    // 20 °C: 0.6 x 60 + 0.4 x 20
    await typeIn(page, 'Hard oils melted to', '60');
    await page.getByText('are ≈ 44 °C together').waitFor();
    // lye by two readings: 80 at 0 and 50 at 20 in a room of 20 are at 38 in 20 ln(60/18) / ln(2) = 34.7 min
    await page.getByRole('button', { name: 'Two thermometer readings' }).click();
    await typeIn(page, 'it was', '80');
    await typeIn(page, 'And after', '20');
    await typeIn(page, 'it was then', '50');
    await page.getByText(/Lye ready at 38 °C in ≈ 35 min/).waitFor();
    await typeIn(page, 'it was then', '85');
    await page.getByText(/do not tell how it cools/).waitFor();
    // oils that set, lye that never gets so hot
    await typeIn(page, 'Oils at mixing', '16');
    await page.getByText(/sets below ≈ \d+ °C in them/).waitFor();
    await page
      .getByRole('list', { name: 'Warnings' })
      .getByRole('button', { name: /^Oils at \d+/ })
      .click();
    await typeIn(page, 'Water before the lye', '0');
    await typeIn(page, 'Lye at mixing', '80');
    await page.getByText(/it gets no hotter than ≈ \d+ °C/).waitFor();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });

  it('weaves other batches in: alike and of other plans, each with its minutes, by the same hands', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/clock');
    await page.getByLabel('Make as well').selectOption({ label: 'Scree Steps' });
    await page.getByText(/Batch 2, Scree Steps:/).waitFor();
    await page.getByLabel('Make as well').selectOption({ label: 'Slate Beds, once more' });
    await page.getByText(/Batch 3, /).waitFor();
    await page.getByText('What hands do next, minute by minute').click();
    const rows = await page
      .getByRole('list', { name: 'Minute by minute' })
      .getByRole('listitem')
      .allInnerTexts();
    const minutes = rows.map((r) => {
      const [, m = '', s = ''] = /^(\d+):(\d\d)/.exec(r) ?? [];
      return Number(m) * 60 + Number(s);
    });
    expect(minutes).to.deep.equal(minutes.toSorted((a, b) => a - b));
    for (const nth of [1, 2, 3]) expect(rows.some((r) => r.includes(`batch ${nth}`))).to.equal(true);
    // still there on coming back to the page, and let go of
    await page.getByRole('link', { name: 'Conditions' }).click();
    await page.getByRole('link', { name: 'When to pour' }).click();
    await page.getByText(/Batch 3, /).waitFor();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    await page.getByRole('button', { name: 'Not as well: Scree Steps' }).click();
    await page.getByText(/Batch 2, Slate Beds:/).waitFor();
  });

  it('is taught: readings move the forecast, one that gets thinner is refused, what was learned is kept and forgotten', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-steps/clock/teach');
    const enter = async (minute: string, stage: string): Promise<void> => {
      await typeIn(page, 'Minute', minute);
      await page.getByLabel('It flows as').selectOption({ label: stage });
      await page.getByRole('button', { name: 'Enter it' }).click();
    };
    await enter('4', 'Light (1)');
    await enter('11:00', 'Medium (2)');
    await enter('14', 'Thick (3)');
    // what its layer bears is another reading, and says so
    await page.getByText('its layer', { exact: true }).click();
    await typeIn(page, 'Minute', '14');
    await page.getByLabel('It bears as').selectOption({ label: 'Spoonable (4)' });
    await page.getByRole('button', { name: 'Enter it' }).click();
    await page.getByText('its layer bears as spoonable at 14:00').waitFor();
    await page.getByText('At rest it doubles its strength in').waitFor();
    await page.getByText('its jug', { exact: true }).click();
    expect(await page.getByRole('list', { name: 'Readings' }).getByRole('listitem').count()).to.equal(4);
    await page.getByRole('heading', { name: 'Foretold before, and now' }).waitFor();
    // what is no minute enters nothing, and not the minute before it
    await enter('abc', 'Light (1)');
    await page.getByText('Not taken: what stands there as the minute is none.').waitFor();
    expect(await page.getByRole('list', { name: 'Readings' }).getByRole('listitem').count()).to.equal(4);
    await enter('15', 'Light (1)');
    await page.getByText(/medium \(2\) at 11 min, and light \(1\) only at 15 min/).waitFor();
    const recipe = page.locator('li', { hasText: 'The recipe' });
    expect(await recipe.innerText()).to.match(/→/);
    await recipe.getByRole('button', { name: 'Leave it as it was' }).click();
    expect(await recipe.innerText()).to.not.match(/→/);
    await recipe.getByRole('button', { name: 'Learn it after all' }).click();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
    // cooler from now on: what was seen was seen of batter at 38
    const learned = async (): Promise<string> => (await recipe.innerText()).split('→')[1] ?? '';
    const before = await learned();
    await page.getByText(/Read as of batter as it is planned \(pot A: batter at 38 °C/).waitFor();
    await page.getByRole('link', { name: /Batter/ }).click();
    await unfold(page, 'Lye and water');
    await typeIn(page, 'Oils at mixing', '30');
    await typeIn(page, 'Lye at mixing', '30');
    await page.getByRole('link', { name: /Clock/ }).click();
    await page.getByRole('link', { name: 'Teach it' }).click();
    await page.getByText(/still read as of what was in the jugs then \(pot A: batter at 38 °C/).waitFor();
    expect(await learned()).to.equal(before);
    await page.getByRole('button', { name: 'They are of the plan as it is now' }).click();
    await page.getByText(/Read as of batter as it is planned \(pot A: batter at 30 °C/).waitFor();
    expect(await learned()).to.not.equal(before);
    await page.getByRole('button', { name: 'Keep what was learned' }).click();
    await recipe.getByText(/from \d readings before/).waitFor();
    await recipe.getByRole('button', { name: 'Forget it' }).click();
    await recipe.getByText('no reading yet').waitFor();
  });

  it('a cup test of a fragrance is a small batch of its own', async () => {
    const page = at.page();
    await at.go('/plan/demo-scree-steps/clock/teach');
    await page.getByRole('button', { name: /Plan a cup of/ }).click();
    await page.getByRole('heading', { name: /^Cup test: / }).waitFor();
    await page.getByText('How thick it really was').waitFor();
    await clockTo(page, 'When to pour');
    await page.getByRole('list', { name: 'Pots through time' }).getByRole('listitem').waitFor();
    await page.getByText('Cup', { exact: true }).waitFor();
    // looked at twice, it tells the plan that it is of
    await clockTo(page, 'Teach it');
    for (const [minute, stage] of [
      ['5', 'Medium (2)'],
      ['8', 'Thick (3)'],
    ] as const) {
      await typeIn(page, 'Minute', minute);
      await page.getByLabel('It flows as').selectOption({ label: stage });
      await page.getByRole('button', { name: 'Enter it' }).click();
    }
    await saved(page);
    await at.go('/plan/demo-scree-steps/clock/teach');
    await page.getByText(/Cup test: .* tells of this recipe by 2 readings/).waitFor();
    await page.getByRole('button', { name: 'Take what it told' }).click();
    await page
      .locator('li', { hasText: 'The recipe' })
      .getByText(/from 2 readings before/)
      .waitFor();
    await page.getByRole('button', { name: 'Take what it told' }).waitFor({ state: 'detached' });
  });

  it('says what is thick enough, with drawings, and what each way needs until when', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/clock/stages');
    for (const word of ['emulsion', 'light', 'medium', 'thick', 'spoonable', 'firm'])
      await page.getByRole('img', { name: `Batter at ${word}, cut through` }).waitFor();
    await clockTo(page, 'When to pour');
    await page
      .getByText(
        /Column pour needs emulsion to light.*until minute \d+:\d\d; with this batter you have until \d+:\d\d/,
      )
      .waitFor();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });

  it('after the pour: when it is what, saved as a calendar that ical.js reads, with reminders; mist and heat are told', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/clock/after');
    await page.getByLabel('Poured from').fill('2026-11-28T18:00');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: /Save as a calendar/ }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('Slate Beds.ics');
    const calendar = new ICAL.Component(ICAL.parse(readFileSync(await download.path(), 'utf8')) as object[]);
    const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    expect(events.map((e) => e.summary)).to.deep.equal([
      'Pour: Slate Beds',
      'Unmould: Slate Beds',
      'Cut: Slate Beds',
      'Weigh a bar: Slate Beds',
      'Weigh a bar: Slate Beds',
      'Weigh a bar: Slate Beds',
      'Cured: Slate Beds',
    ]);
    expect(events[0]?.startDate.toString()).to.match(/^2026-11-28T18:00:00/);
    for (const e of events) expect(e.component.getAllSubcomponents('valarm').length).to.be.within(1, 2);
    // mist is in this plan: heat beside it is told, and one press cures it
    await page.getByText('Oven held, 2 h').click();
    await page.getByText(/Every trace of it must be dry/).waitFor();
    await page.getByRole('button', { name: 'Without mist' }).click();
    await page.getByText(/Every trace of it must be dry/).waitFor({ state: 'detached' });
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });
});
