import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { pictureOf, sharp } from './support/pictures.ts';
import { saved, seriousFaults, studio, type as typeIn, unfold, workedOut } from './support/studio.ts';

const fieldIn = (page: Page, column: string, label: string) =>
  page.getByRole('group', { name: column, exact: true }).getByLabel(label, { exact: true });

async function enter(page: Page, column: string, label: string, text: string): Promise<void> {
  const field = fieldIn(page, column, label);
  await field.fill(text);
  await field.press('Enter');
  await workedOut(page);
}

describe('several columns in the browser', () => {
  const at = studio();

  it('one more stands where there is room; dragged, turned and drawn at its corners in the plan', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/mould#inside');
    await page.getByRole('button', { name: 'One more' }).click();
    const first = page.getByRole('group', { name: 'Column 1', exact: true });
    await first.waitFor();
    await page.getByText(/^The 2 columns keep out/).waitFor();
    await page.getByText(/Pulling the column.* leaves? .*hole/).waitFor();
    await page.getByRole('button', { name: /^Hold back .* from the pots poured/ }).click();
    await page.getByText(/Pulling the column.* leaves? .*hole/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await sharp(page);
    // dragged with the mouse
    const handle = page.getByRole('button', { name: /^Column 2,/ });
    const box = (await handle.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    await page.getByRole('button', { name: /^Column 2, (2\d(\.\d)?) mm right of the middle/ }).waitFor();
    // turned by keys, and by its handle
    const turn = page.getByRole('button', { name: /^Column 2 is turned/ });
    await turn.focus();
    await turn.press('Shift+ArrowLeft');
    await page.getByRole('button', { name: 'Column 2 is turned 10°: arrow keys turn it' }).waitFor();
    await workedOut(page);
    expect(await fieldIn(page, 'Column 2', 'Turned').inputValue()).to.equal('10 °');
    const arm = (await turn.locator('circle').last().boundingBox())!;
    await page.mouse.move(arm.x + arm.width / 2, arm.y + arm.height / 2);
    await page.mouse.down();
    await page.mouse.move(arm.x - 30, arm.y + 10, { steps: 5 });
    await page.mouse.up();
    const turned = parseInt(await fieldIn(page, 'Column 2', 'Turned').inputValue());
    expect(turned).to.be.within(25, 70);
    // an outline of its own
    const second = page.getByRole('group', { name: 'Column 2', exact: true });
    await second.getByText('own outline', { exact: true }).click();
    const corner = page.getByRole('button', { name: /^Corner 1 of column 2:/ });
    await corner.focus();
    await corner.press('Shift+ArrowRight');
    expect(parseFloat(await fieldIn(page, 'Column 2', 'Corner 1, right').inputValue())).to.be.within(20, 31);
    await second.getByRole('button', { name: 'Another corner after corner 6' }).click();
    await page.getByRole('button', { name: /^Corner 7 of column 2:/ }).waitFor();
    await page.getByRole('button', { name: /^Corner 3 of column 2:/ }).focus();
    await page.keyboard.press('Delete');
    await page.getByRole('button', { name: /^Corner 7 of column 2:/ }).waitFor({ state: 'detached' });
    await saved(page);
    expect(await seriousFaults(page)).to.deep.equal([]);
  });

  it('what cannot stand is said at its field with its number, and the picture stays', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/mould#inside');
    await page.getByRole('button', { name: 'One more' }).click();
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await sharp(page);
    const canvas = page.locator('canvas[data-swirl]').first();
    const before = await pictureOf(canvas);
    await enter(page, 'Column 2', 'Beyond middle', '10');
    await page.getByText(/columns 1 and 2 stand in each other/i).waitFor();
    await enter(page, 'Column 2', 'Beyond middle', '-500');
    await page.getByText(/column 2 40 mm across does not fit there: the floor is 280 mm long/i).waitFor();
    await enter(page, 'Column 2', 'Across', '900');
    await page.getByText(/900 mm is outside 5 to 500 mm/).waitFor();
    const second = page.getByRole('group', { name: 'Column 2', exact: true });
    await second.getByText('own outline', { exact: true }).click();
    await enter(page, 'Column 2', 'Corner 1, right', '-40');
    await page.getByText(/the outline of column 2 crosses itself/i).waitFor();
    await second.getByText('square', { exact: true }).click();
    await sharp(page);
    expect(await pictureOf(canvas)).to.equal(before);
  });

  it('poured over all of them or over one; pulled together, with what goes into each hole on the sheet', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/mould#inside');
    await page.getByRole('button', { name: 'One more' }).click();
    await enter(page, 'Column 2', 'Across', '20');
    await page.getByRole('link', { name: /Design/ }).click();
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await page.getByRole('button', { name: /^Pour 1: 5 rounds/ }).click();
    await sharp(page);
    const canvas = page.locator('canvas[data-swirl]').first();
    const both = await pictureOf(canvas);
    await page.getByLabel('Over', { exact: true }).selectOption({ label: 'column 2 alone' });
    await sharp(page);
    expect(await pictureOf(canvas)).not.to.equal(both);
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/over column 2, so that it runs down all its sides/).waitFor();
    await page
      .getByText(/2 columns: 1 square, 40 mm across, in the middle; 2 square, 20 mm across/)
      .waitFor();
    const pull = await page.getByText(/Pull the columns straight up/).innerText();
    const [, first, second] = [...pull.matchAll(/(\d+) g/g)].map((m) => Number(m[1]));
    // 40 x 40 mm to 20 x 20 mm
    expect(first! / second!).to.be.closeTo(4, 0.2);
    await page.goBack();
    await page.getByLabel('Over', { exact: true }).selectOption({ label: 'all 2 columns' });
    await sharp(page);
    expect(await pictureOf(canvas)).to.equal(both);
    // taken out again, one is left and the choice with it
    await page.getByRole('link', { name: /Mould/ }).click();
    await unfold(page, 'What stands in it');
    await page.getByRole('button', { name: 'Take column 1 out' }).click();
    await page.getByRole('group', { name: 'Column', exact: true }).waitFor();
    await typeIn(page, 'Across', '30');
    await saved(page);
  });
});

describe('pictures that are true', () => {
  const at = studio();
  const picture = (page: Page): Promise<string> =>
    pictureOf(page.locator('section[aria-label="Views of the loaf"] canvas[data-swirl]').first());

  it('a round in another order is drawn in that order at once, and as before once it is put back', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/design');
    await page
      .getByRole('button', { name: /^Pour 1:/ })
      .first()
      .click();
    await sharp(page);
    const was = await picture(page);
    await page.getByRole('button', { name: /: the round$/ }).click();
    await page.getByRole('button', { name: /^Turn 1: pot A/ }).click();
    await page.getByRole('button', { name: 'Later' }).click();
    await page.getByRole('button', { name: /^Turn 1: pot B/ }).waitFor();
    await sharp(page);
    expect(await picture(page)).to.not.equal(was);
    await page.getByRole('button', { name: 'Earlier' }).click();
    await page.getByRole('button', { name: /^Turn 1: pot A/ }).waitFor();
    await sharp(page);
    expect(await picture(page)).to.equal(was);
  });

  it('until it is simulated a loaf is in no pot’s colour, and says that its picture is coming: on cards too', async () => {
    const page = at.page();
    let go = (): void => undefined;
    const held = new Promise<void>((done) => {
      go = done;
    });
    await page.route(/pattern\.worker/, async (route) => {
      await held;
      await route.continue();
    });
    for (const path of ['/', '/plan/demo-basalt-columns/design']) {
      await page.goto(at.url() + path);
      const coming = page.locator('foreignObject', { hasText: 'picture is coming' }).first();
      await coming.waitFor();
      // what is drawn under it has the grey of no pot
      expect(
        await coming.evaluate((f) =>
          [...(f.parentElement?.querySelectorAll('path') ?? [])].some(
            (p) => p.getAttribute('fill') === '#b4b9b6',
          ),
        ),
        path,
      ).to.equal(true);
    }
    go();
    await sharp(page);
    await page.getByText('picture is coming').first().waitFor({ state: 'detached' });
  });
});
