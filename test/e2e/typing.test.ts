import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { storedIn, storedPlan } from './support/stored.ts';
import { saved, studio } from './support/studio.ts';

/** What is typed into every field: unfinished, far too much, below nothing, nonsense. */
const TYPED = ['0.5', '99999999', '-3', 'x;'] as const;

/** Sizes, amounts and names of every kind, one station at a time. */
const STATIONS = [
  'mould',
  'design',
  'batter',
  'colour/pots',
  'colour/ombre',
  'clock/timetable',
  'clock/conditions',
  'clock/teach',
  'cut',
] as const;

/** A field, and how many there are beside it. */
const asItIs = (f: HTMLInputElement): { label: string; shown: string; fields: number } => ({
  label: f.labels?.[0]?.textContent ?? '',
  shown: f.value,
  fields: [...document.querySelectorAll<HTMLElement>('main input, main textarea')].filter(
    (one) => one.offsetWidth > 0,
  ).length,
});

const fieldsOf = (page: Page): Locator => page.locator('main').getByRole('textbox');

async function openAll(page: Page): Promise<void> {
  for (const summary of await page.locator('main summary').all()) await summary.click();
}

const undoes = (page: Page): Promise<boolean> => page.getByRole('button', { name: 'Undo' }).isDisabled();

/** Undo until there is nothing more to undo: how many steps that was. */
const undoAll = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const undo = document.querySelector<HTMLButtonElement>('button[aria-label="Undo"]')!;
    let steps = 0;
    for (; !undo.disabled && steps < 1000; steps += 1) {
      undo.click();
      await new Promise((next) => setTimeout(next));
    }
    return steps;
  });

async function typeAndEscape(page: Page, field: Locator, text: string): Promise<void> {
  await field.focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
  await page.keyboard.press('Escape');
}

describe('what is typed and escaped from', () => {
  const s = studio();

  for (const [plan, stations] of [
    ['demo-copper-weir', STATIONS],
    ['demo-heather-on-peat', ['colour/ombre']],
  ] as const)
    it(`leaves ${plan} as it was, in every field of every station`, async () => {
      const page = s.page();
      await s.go(`/plan/${plan}/mould`);
      const before = await storedPlan(page, plan);
      const tried: string[] = [];
      for (const station of stations) {
        await page.goto(`${s.url()}/plan/${plan}/${station}`);
        await page.locator('main h2').first().waitFor();
        await openAll(page);
        const count = await fieldsOf(page).count();
        for (let i = 0; i < count; i += 1) {
          const field = fieldsOf(page).nth(i);
          if (await field.isDisabled()) continue;
          const { label, shown, fields } = await field.evaluate(asItIs);
          // every field two of them in turn: what they do is up to the kind of field, and there are several
          // of each kind
          for (const text of [TYPED[i % 4]!, TYPED[(i + 1) % 4]!]) {
            await typeAndEscape(page, field, text);
            // what a whole timetable shows may come a moment after the key
            let now = await field.evaluate(asItIs);
            for (let tries = 0; tries < 40 && now.shown !== shown; tries += 1) {
              await page.waitForTimeout(50);
              now = await field.evaluate(asItIs);
            }
            expect(now.fields, `${station}, ${label}: fields after "${text}"`).to.equal(fields);
            expect(now.shown, `${station}, ${label}: shown after "${text}"`).to.equal(shown);
          }
          tried.push(`${station}, ${label}`);
        }
        await saved(page);
        expect(await storedPlan(page, plan), station).to.deep.equal(before);
        // what was escaped from is there for undo, once there and once back: all the way back it is the plan
        // as it was
        expect(await undoAll(page), `${station}: steps back`).to.satisfy((n: number) => n % 2 === 0);
        await saved(page);
        expect(await storedPlan(page, plan), station).to.deep.equal(before);
      }
      expect(tried.length).to.be.above(stations.length * 3);
    });
});

describe('what is typed into the library', () => {
  const s = studio();

  it('and escaped from or refused leaves every field of a colorant as it was', async () => {
    const page = s.page();
    await page.goto(`${s.url()}/colorants`);
    const fields = fieldsOf(page);
    await fields.first().waitFor();
    const count = await fields.count();
    expect(count).to.be.above(6);
    for (let i = 0; i < count; i += 1) {
      const field = fields.nth(i);
      const shown = await field.inputValue();
      for (const text of TYPED) {
        await typeAndEscape(page, field, text);
        await page.waitForTimeout(60);
        expect(await field.inputValue(), `field ${i} after "${text}"`).to.equal(shown);
      }
    }
    await page.waitForTimeout(600);
    await page.reload();
    await fields.first().waitFor();
    expect(await storedIn(page, 'colorants'), 'the starters are as they were').to.deep.equal([]);
  });
});

describe('what is typed and refused', () => {
  const s = studio({ opens: true });
  const plan = 'demo-slate-beds';
  const field = (label: string) =>
    s.page().locator('main').getByRole('textbox', { name: label, exact: true }).first();
  const typed = async (label: string, text: string): Promise<void> => {
    await field(label).focus();
    await s.page().keyboard.press('Control+a');
    await s.page().keyboard.type(text);
  };

  it('leaves superfat and lye as they were: 45, 200', async () => {
    const page = s.page();
    await s.go(`/plan/${plan}/batter#lye`);
    const before = await storedPlan(page, plan);
    const lye = await page
      .getByRole('banner')
      .getByText(/^\d+ g$/)
      .last()
      .innerText();
    for (const text of ['45', '200']) {
      await typed('Superfat', text);
      await page.keyboard.press('Tab');
      await page.getByText(`${text} % is outside 0 to 30 %`).waitFor();
      expect(
        await page
          .getByRole('banner')
          .getByText(/^\d+ g$/)
          .last()
          .innerText(),
      ).to.equal(lye);
    }
    await saved(page);
    expect(await storedPlan(page, plan)).to.deep.equal(before);
    await field('Superfat').press('Escape');
    expect(await field('Superfat').inputValue()).to.equal('5 %');
  });

  it('leaves a saponification value as it was: 1340', async () => {
    const page = s.page();
    await s.go(`/plan/${plan}/batter#recipe`);
    await page.getByRole('button', { name: 'Saponification values' }).click();
    const before = await storedPlan(page, plan);
    await typed('Saponification value of Olive oil', '1340');
    await page.keyboard.press('Tab');
    await page.getByText('1340 mg KOH/g is outside 50 to 400 mg KOH/g').waitFor();
    await saved(page);
    expect(await storedPlan(page, plan)).to.deep.equal(before);
  });

  it('shows at once what is typed, and undoes a whole visit as one', async () => {
    const page = s.page();
    await s.go(`/plan/${plan}/mould`);
    await typed('Length', '26');
    await typed('Length', '265');
    await page.keyboard.press('Enter');
    expect(await field('Length').inputValue()).to.equal('265 mm');
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await field('Length').inputValue()).to.equal('250 mm');
    expect(await undoes(page)).to.equal(true);
    await page.getByRole('button', { name: 'Redo' }).click();
    expect(await field('Length').inputValue()).to.equal('265 mm');
  });

  it('keeps the turns of an ombre while 24 layers are typed', async () => {
    const page = s.page();
    const heather = 'demo-heather-on-peat';
    await s.go(`/plan/${heather}/colour/ombre`);
    const turnsOf = async () =>
      (await storedPlan(page, heather))!.steps.flatMap((step) =>
        step.kind === 'pour' && step.ombre?.turn ? [step.ombre.turn] : [],
      );
    const before = await turnsOf();
    expect(before).to.not.deep.equal([]);
    await typed('Layers', '24');
    await page.keyboard.press('Enter');
    await saved(page);
    expect(await turnsOf()).to.deep.equal(before);
  });

  it('keeps how a top allowance is split while 0.5 is typed before 60', async () => {
    const page = s.page();
    await s.go(`/plan/${plan}/mould`);
    const split = async () => (await storedPlan(page, plan))!.fill.top;
    const allowance = page.locator('main').getByRole('textbox', { name: /^Top allowance/ });
    const before = await split();
    await allowance.focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('0.5');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('60');
    await page.keyboard.press('Enter');
    await saved(page);
    const after = await split();
    expect(after.map((t) => t.pot)).to.deep.equal(
      before.length > 0 ? before.map((t) => t.pot) : after.map((t) => t.pot),
    );
    await page.getByRole('button', { name: 'Undo' }).click();
    await saved(page);
    expect(await split()).to.deep.equal(before);
  });

  it('has undo and redo after a reload', async () => {
    const page = s.page();
    await s.go(`/plan/${plan}/mould`);
    for (const text of ['260', '270']) {
      await typed('Length', text);
      await page.keyboard.press('Enter');
    }
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.reload();
    await field('Length').waitFor();
    expect(await field('Length').inputValue()).to.equal('260 mm');
    await page.getByRole('button', { name: 'Redo' }).click();
    expect(await field('Length').inputValue()).to.equal('270 mm');
    for (let i = 0; i < 2; i += 1) await page.getByRole('button', { name: 'Undo' }).click();
    expect(await field('Length').inputValue()).to.equal('250 mm');
  });

  it('gives a drag back on Escape, and undoes one as a whole', async () => {
    const page = s.page();
    await s.go(`/plan/${plan}/design`);
    const before = await storedPlan(page, plan);
    const line = page.getByRole('slider', { name: /layer|surface|pour/i }).first();
    const box = (await line.boundingBox())!;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    for (let i = 1; i <= 8; i += 1) await page.mouse.move(at.x, at.y - 4 * i);
    expect(await undoes(page)).to.equal(false);
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await saved(page);
    await page.waitForTimeout(400);
    expect(await storedPlan(page, plan)).to.deep.equal(before);
    // one undo brings back what may have been stored meanwhile, one more takes it away
    await page.getByRole('button', { name: 'Undo' }).click();
    await saved(page);
    await page.waitForTimeout(400);
    expect(await storedPlan(page, plan)).to.not.deep.equal(before);
    expect(await undoAll(page)).to.equal(1);
    await saved(page);
    await page.waitForTimeout(400);
    expect(await storedPlan(page, plan)).to.deep.equal(before);
  });
});
