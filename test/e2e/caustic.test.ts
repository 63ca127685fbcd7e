import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { setEnd } from '../../src/core/edit/ombre.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { ombrePlan, starter } from '../support/colours.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { saved, studio, type, workedOut } from './support/studio.ts';

/** Deep colours, each gram in 8 ml of oil. */
const { id, name, nature } = starter('heather');
const deep = { id, name, nature: { ...nature, carrierMlPerG: 8 } };

describe('what would be caustic', () => {
  const s = studio({ demo: false });
  const bring = async (page: Page, plan: Plan): Promise<void> => {
    await page.goto(s.url());
    await page.setInputFiles('input[type=file]', {
      name: 'plan.dripline.json',
      mimeType: 'application/json',
      buffer: Buffer.from(writePlanFile(plan)),
    });
    await page.getByRole('article', { name: plan.name }).waitFor();
  };

  it('until colours come stands at the acts where it is so, and one press makes portions of it', async () => {
    const page = s.page();
    const box = boxPlan([rest(), rest()]);
    await bring(page, {
      ...box,
      id: 'lean',
      name: 'Lean',
      batter: { ...box.batter, superfatPercent: 2 },
      colorants: [deep],
      pots: box.pots.map((p) => ({ ...p, colorants: [{ colorant: id, doseGPerKg: 10 }] })),
    });
    await page.goto(`${s.url()}/plan/lean/sheet`);
    const act = page.getByRole('listitem').filter({ hasText: 'Pour the cooled lye solution into the oils' });
    await act
      .getByText(
        /More lye than the oils can use, superfat −\d.*until the dispersed colours are in pot A and pot B/,
      )
      .waitFor();
    await page.goto(`${s.url()}/plan/lean/batter`);
    await page.getByText(/For a time there is more lye in the batch, pot A and pot B/).waitFor();
    await page
      .getByRole('button', { name: /Make portions ready before the lye/ })
      .first()
      .click();
    await saved(page);
    expect(await page.getByText(/For a time there is more lye/).count()).to.equal(0);
  });

  it('as entered is refused where it was typed, and can be typed on', async () => {
    const page = s.page();
    const graded = ombrePlan(4, 'one-pot', { divide: { kind: 'before-lye', lye: 'together' } });
    const from = setEnd(graded, 'o1', 'from', [{ colorant: id, doseGPerKg: 6 }], [deep]);
    const plan = setEnd(from, 'o1', 'to', [{ colorant: id, doseGPerKg: 12 }]);
    await bring(page, {
      ...plan,
      id: 'one',
      name: 'One pot',
      batter: { ...plan.batter, superfatPercent: 2 },
    });
    await page.goto(`${s.url()}/plan/one/colour/ombre`);
    await page.getByRole('button', { name: 'What if it went otherwise?' }).click();
    const added = page.getByRole('textbox', { name: 'Really added of Heather mica at layer 1' });
    await added.focus();
    await page.keyboard.type('0');
    await page
      .getByText(/poured at superfat −.*What was mixed stays as it was mixed: at least \d+ g of olive/)
      .waitFor();
    await page.keyboard.type('.01');
    expect(await added.inputValue()).to.equal('0.01');
    await page.getByRole('button', { name: 'Back to the plan' }).click();
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText('Weigh the sodium hydroxide').waitFor();
  });

  it('two lots of one oil each have their value and their weight', async () => {
    const page = s.page();
    await bring(page, { ...boxPlan([rest(), rest()]), id: 'lots', name: 'Lots' });
    await page.goto(`${s.url()}/plan/lots/batter#recipe`);
    await page.getByRole('button', { name: 'Saponification values' }).click();
    await page
      .getByRole('combobox', { name: 'Add an oil' })
      .selectOption({ label: 'Olive oil, another lot' });
    const rows = page.getByRole('row', { name: /^Olive oil/ });
    await workedOut(page);
    expect(await rows.count()).to.equal(2);
    await rows.nth(1).getByRole('textbox', { name: 'Share of Olive oil' }).fill('15');
    await rows.nth(1).getByRole('textbox', { name: 'Saponification value of Olive oil' }).fill('195');
    await rows.nth(0).getByRole('textbox', { name: 'Share of Olive oil' }).fill('30');
    await page.keyboard.press('Enter');
    await saved(page);
    const grams = async (n: number): Promise<number> =>
      Number.parseFloat((await rows.nth(n).getByRole('cell').nth(3).innerText()).replace(/\s/g, ''));
    expect((await grams(0)) / (await grams(1))).to.be.closeTo(2, 0.1);
    await page.goto(`${s.url()}/plan/lots/sheet`);
    await page.getByText('Olive oil, 195 mg KOH/g').waitFor();
  });

  it('a jar of colour says which oil it was shaken up in', async () => {
    const page = s.page();
    await page.goto(`${s.url()}/supplies`);
    await page.getByRole('button', { name: 'Jar', exact: true }).click();
    const shaken = page.getByRole('combobox', { name: 'In', exact: true });
    expect(await shaken.inputValue()).to.equal('oil');
    await shaken.selectOption({ label: 'sunflower oil' });
    await type(page, 'Left in it', '80');
    await page.waitForTimeout(600);
    await page.reload();
    expect(await shaken.inputValue()).to.equal('sunflower');
    await shaken.selectOption({ label: 'water' });
    await page.waitForTimeout(600);
    await page.reload();
    expect(await shaken.inputValue()).to.equal('water');
  });
});
