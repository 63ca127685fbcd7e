import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { openPot, saved, studio, type, unfold, workedOut } from './support/studio.ts';

/** The card of one thing that is stirred in. */
const card = (page: Page, name: string): Locator => page.getByRole('listitem', { name, exact: true });

const sheetOf = (page: Page): Promise<string> => page.locator('main').innerText();

describe('what goes into some pots alone', () => {
  const s = studio();

  it('seeds into one layer at trace: weighed for that pot, on the sheet once, before its pour', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#added');
    await page.getByLabel('Add an additive').selectOption({ label: 'Poppy seed' });
    const seed = card(page, 'Poppy seed');
    const whole = await seed.getByText(/^\d+(\.\d+)? g$/).innerText();
    await seed.getByLabel('into').selectOption({ label: 'some pots' });
    await seed.getByRole('button', { name: /Slate|Chalk/, pressed: true }).waitFor();
    const part = await seed.getByText(/^\d+(\.\d+)? g$/).innerText();
    expect(Number.parseFloat(part)).to.be.below(Number.parseFloat(whole));
    await saved(page);
    await s.go('/plan/demo-slate-beds/sheet');
    await page.getByText(/What is heavy sinks in batter thinner than medium/).waitFor();
    expect((await sheetOf(page)).match(/Poppy seed/g)).to.have.length(1);
  });

  it('a scent into each jug only as it is poured, and another in one pot with its own certificate', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#added');
    await card(page, 'Wet Stone (made-up blend)')
      .getByLabel('when')
      .selectOption({ label: 'just before each pour' });
    await page.getByRole('button', { name: 'Add another' }).click();
    const second = card(page, 'Fragrance');
    await second.getByLabel('into').selectOption({ label: 'some pots' });
    await workedOut(page);
    // named pots get it once they are apart
    expect(await second.getByLabel('when').inputValue()).to.equal('trace');
    await second.getByLabel('Certificate limit, of the bar').fill('1');
    await page.getByText(/“?"Fragrance" is ≈ \d.\d+ % of pot A/).waitFor();
    await page
      .getByRole('button', { name: /of oils$/ })
      .first()
      .click();
    await page.getByText(/"Fragrance" is ≈/).waitFor({ state: 'detached' });
    await saved(page);
    await s.go('/plan/demo-slate-beds/sheet');
    await page.getByText(/Pour 1:/).waitFor();
    const sheet = await sheetOf(page);
    const pours = sheet.match(/Pour \d+:/g)!.length;
    expect(sheet.match(/Just before pour \d+, stir into|clean cup for pour \d+ alone/g)).to.have.length(
      pours,
    );
  });

  it('an oil after the lye raises the superfat of its pot, and says so when it is much', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#added');
    await page.getByLabel('Stir in an oil late').selectOption({ label: 'Shea butter' });
    const shea = card(page, 'Shea butter, stirred in late');
    await shea.getByLabel('into').selectOption({ label: 'some pots' });
    await shea.getByLabel('per kg of oils').fill('250');
    await page
      .getByText(/Pot A .* comes to superfat 2\d(\.\d)? % with the oil stirred in after the lye/)
      .waitFor();
    await shea.getByLabel('per kg of oils').fill('20');
    await page.getByText(/comes to superfat/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Remove Shea butter, stirred in late' }).click();
  });

  it('is refused, and cured, where the pots are not yet apart', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/batter#added');
    await page.getByLabel('Add an additive').selectOption({ label: 'Kaolin clay' });
    const clay = card(page, 'Kaolin clay');
    expect(await clay.getByLabel('when').inputValue()).to.equal('oils');
    await clay.getByLabel('into').selectOption({ label: 'some pots' });
    await workedOut(page);
    expect(await clay.getByLabel('when').inputValue()).to.equal('colour');
    await unfold(page, 'Lye and water');
    await type(page, 'Superfat', '5');
    await page.getByRole('button', { name: 'Remove Kaolin clay' }).click();
  });

  it('portions have oils and water of their own', async () => {
    const page = s.page();
    await s.go('/plan/demo-slate-beds/colour/pots');
    await unfold(page, 'Weights');
    await page.getByText('portions ready before the lye', { exact: true }).last().click();
    const pot = await openPot(page, 'A');
    await pot.getByRole('group', { name: 'Oils' }).getByText('its own').click();
    await pot.getByLabel('Share of Olive oil').fill('5');
    await page.getByText(/oils of pot A add up to/).waitFor();
    await saved(page);
    await s.go('/plan/demo-slate-beds/sheet');
    await page.getByText(/Make ready pot A.*its own oils, melted/).waitFor();
  });
});
