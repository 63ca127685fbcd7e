import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { put } from './support/line.ts';
import { saved, seriousFaults, studio, workedOut } from './support/studio.ts';

/** What can be put on the line, and the card that is then open: everything that the panel once offered. */
const ACTS: readonly (readonly [thing: string, way: string | undefined, card: RegExp])[] = [
  ['Pour', undefined, /^Pour \d/],
  ['In rounds', 'Wall pour', /^Pour \d/],
  ['Tilt', undefined, /^The tilt/],
  ['Wait', undefined, /^The wait/],
  ['Stick', 'Rings', /^The stick/],
  ['Stick', 'Spiral, through the top alone', /^The stick/],
  ['Wire', 'In loops', /^The wire/],
  ['Scrape', undefined, /^The scraper/],
  ['Line', undefined, /^The line/],
  ['Top', 'Spoon dents', /^On top/],
  ['Pull', undefined, /^The pull/],
  ['Finish', 'Heating pad', /^The finish/],
];

const onLine = (page: Page): Locator => page.locator('[data-on-line]');

const words = async (page: Page): Promise<readonly string[]> => {
  await workedOut(page);
  return onLine(page).evaluateAll((those) =>
    those.map((t) => (t.getAttribute('aria-label') ?? '').split(':')[0]!),
  );
};

/** Something is dragged until it lies over something else, and let go. */
async function drag(page: Page, what: Locator, over: Locator): Promise<void> {
  const [from, to] = [(await what.boundingBox())!, (await over.boundingBox())!];
  const y = from.y + Math.min(12, from.height / 2);
  await page.mouse.move(from.x + from.width / 2, y);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 12, y, { steps: 3 });
  await page.mouse.move(to.x + to.width / 2, y, { steps: 8 });
  await page.mouse.up();
}

/** What the last plus comes after. */
const lastPlace = async (page: Page): Promise<string> => {
  const name = await page
    .getByRole('button', { name: /^Add after/ })
    .last()
    .getAttribute('aria-label');
  return name!.replace('Add after ', '');
};

/** By keys alone each of these is put after something, its card opens, and it is undone. */
async function addByKeys(page: Page, after: string, acts: typeof ACTS): Promise<void> {
  const place = page.getByRole('button', { name: `Add after ${after}`, exact: true }).last();
  const walkTo = async (name: string, exact: boolean): Promise<void> => {
    const item = page
      .getByRole('menuitem', { name: exact ? name : new RegExp(`^${name}\\b`), exact })
      .first();
    await item.waitFor();
    for (let i = 0; i < 14 && !(await item.evaluate((e) => e === document.activeElement)); i += 1)
      await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
  };
  for (const [thing, way, card] of acts) {
    const before = await onLine(page).count();
    await place.focus();
    await page.keyboard.press('Enter');
    await walkTo(thing, false);
    if (way !== undefined) await walkTo(way, true);
    await page.getByRole('main').getByRole('region', { name: card }).waitFor();
    expect(await onLine(page).count(), thing).to.be.above(before);
    await page.getByRole('button', { name: 'Undo' }).click();
    await workedOut(page);
    expect(await onLine(page).count(), thing).to.equal(before);
  }
}

describe('the line of drops', () => {
  const at = studio();

  it('by keyboard alone: everything that can be added is, with its card open, and undone', async () => {
    const page = at.page();
    // what cannot come after a column stands after the first pour of another plan
    const elsewhere = ['Scrape', 'Tilt', 'Finish'];
    await at.go('/plan/demo-scree-steps/design');
    for (const act of ACTS.filter(([t]) => elsewhere.includes(t)))
      await addByKeys(page, act[0] === 'Finish' ? await lastPlace(page) : 'pour 1', [act]);
    await at.walk('/plan/demo-basalt-columns/design');
    await addByKeys(
      page,
      'pour 1',
      ACTS.filter(([t]) => ![...elsewhere, 'Pull'].includes(t)),
    );
    const last = page.getByRole('button', { name: 'Add after pour 1', exact: true });
    // Escape leaves it as it was, and the focus where it was
    await last.focus();
    await page.keyboard.press('Enter');
    await page.getByRole('menu', { name: 'What comes after pour 1?' }).waitFor();
    expect(await seriousFaults(page, 'all', '[role=menu]')).to.deep.equal([]);
    await page.keyboard.press('Escape');
    await page.getByRole('menu').waitFor({ state: 'detached' });
    expect(await last.evaluate((e) => e === document.activeElement)).to.equal(true);
  });

  it('what cannot stand there says why, and nothing comes of a press on it', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/design');
    const before = await words(page);
    await page.getByRole('button', { name: 'Add at the beginning' }).click();
    const stick = page.getByRole('menuitem', { name: /^Stick: not here, nothing is poured there yet/ });
    await stick.click({ force: true });
    await page.getByText('Not here: nothing is poured there yet.').waitFor();
    await page.keyboard.press('Escape');
    expect(await words(page)).to.deep.equal(before);
  });

  it('anything is moved: dragged into a gap, by Alt and the arrow keys; where it cannot stand it stays, and says why', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/design');
    await put(page, 'Wait', undefined, 'pour 1');
    await page.getByRole('region', { name: 'The wait' }).getByRole('textbox', { name: 'Wait' }).fill('7');
    await page.keyboard.press('Enter');
    const wait = page.getByRole('button', { name: /^wait 7 min/ });
    await wait.waitFor();
    expect((await words(page)).slice(0, 3)).to.deep.equal(['Pour 1', 'wait 7 min', 'Pour 2']);
    await drag(page, wait, page.getByRole('button', { name: /^Pour 2:/ }));
    expect((await words(page)).slice(0, 3)).to.deep.equal(['Pour 1', 'Pour 2', 'wait 7 min']);
    await wait.focus();
    await page.keyboard.press('Alt+ArrowLeft');
    expect((await words(page)).slice(0, 3)).to.deep.equal(['Pour 1', 'wait 7 min', 'Pour 2']);
    // the wait cannot come before anything is poured
    await page.keyboard.press('Alt+ArrowLeft');
    await page.getByText('Wait 7 min stays: nothing is poured there yet.').waitFor();
    expect((await words(page)).slice(0, 3)).to.deep.equal(['Pour 1', 'wait 7 min', 'Pour 2']);
    // nor a pour after the finish
    await drag(
      page,
      page.getByRole('button', { name: /^Pour 5:/ }),
      page.getByRole('button', { name: /^insulate/ }),
    );
    await page.getByText('Pour 5 stays: the loaf is left to itself by then.').waitFor();
    // the arrow keys alone go from one to the next; Delete takes out
    await wait.focus();
    await page.keyboard.press('ArrowRight');
    expect(
      await page.evaluate(() => document.activeElement?.getAttribute('aria-label')?.slice(0, 6)),
    ).to.equal('Pour 2');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Delete');
    await wait.waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Undo' }).click();
    await wait.waitFor();
    await saved(page);
  });

  it('a finish is changed on its card, a tilt and a wait until a thickness too', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/design');
    await page.getByRole('button', { name: /^insulate:/ }).click();
    await page.getByRole('combobox', { name: 'Once everything is in' }).selectOption({ label: 'leave cool' });
    await page.getByRole('button', { name: /^leave cool:/ }).waitFor();
    await put(page, 'Wait', undefined, 'pour 4');
    await page.getByLabel('It is').selectOption('stage');
    await page.getByRole('button', { name: /^wait, medium:/ }).waitFor();
    await page.getByLabel('Until what was poured last is').selectOption({ label: 'thick' });
    await page.getByRole('button', { name: /^wait, thick:/ }).waitFor();
    await put(page, 'Tilt', undefined, 'pour 4');
    await page
      .getByRole('region', { name: 'The tilt' })
      .getByRole('heading', { name: 'From pour 5 on' })
      .waitFor();
    await page.getByRole('textbox', { name: 'Right edge up' }).fill('4');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^4°/ }).waitFor();
  });
});

describe('the line of drops, by touch and by mouse', () => {
  const at = studio({ viewport: { width: 820, height: 1180 }, touch: true });

  for (const by of ['tap', 'click'] as const)
    it(`everything that can be added is, by two presses or three: ${by}`, async () => {
      const page = at.page();
      await at.go('/plan/demo-scree-steps/design');
      for (const [thing, way, card] of ACTS) {
        if (thing === 'Pull') continue;
        const before = await onLine(page).count();
        await put(page, thing, way, undefined, by);
        await page.getByRole('main').getByRole('region', { name: card }).waitFor();
        expect(await onLine(page).count(), thing).to.be.above(before);
        await page.getByRole('button', { name: 'Undo' })[by]();
        expect(await onLine(page).count(), thing).to.equal(before);
      }
    });
});
