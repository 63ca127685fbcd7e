import { expect } from 'chai';
import { begin } from './support/begin.ts';
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { faultScript, type FaultName } from '../soak/storageFaults.ts';
import { inStore, storedIn, storedPlan } from './support/stored.ts';
import { fieldValue, saved, studio, type, unfold, openPot } from './support/studio.ts';

const SLATE = 'demo-slate-beds';
const mould = `/plan/${SLATE}/mould`;

interface Draft {
  readonly plan: { readonly mould: { readonly shape: { readonly lengthMm: number } } };
}

const ready = (page: Page): Promise<void> =>
  page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();

/** A page that cannot store for now: a sleeping tab. What it waits for is let go again by `wake`. */
const sleepy = (page: Page): Promise<unknown> =>
  page.evaluate(`{
    const real = window.setTimeout;
    const held = [];
    window.setTimeout = (then, ms, ...rest) => ms === 250 ? held.push(then) : real(then, ms, ...rest);
    window.wake = () => { window.setTimeout = real; held.forEach((then) => then()); };
  }`);
const wake = (page: Page): Promise<unknown> => page.evaluate('window.wake()');

describe('leaving at once', () => {
  const s = studio();

  it('loses nothing to the shelf: what is drawn, exported and duplicated is the newest', async () => {
    const page = s.page();
    await s.go(mould);
    await page.getByRole('textbox', { name: 'Length', exact: true }).fill('301 mm');
    await page.getByRole('link', { name: 'To the shelf' }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export Slate Beds' }).click(),
    ]);
    expect(JSON.parse(readFileSync(await file.path(), 'utf8'))).to.have.nested.property(
      'mould.shape.lengthMm',
      301,
    );
    await page.getByRole('link', { name: 'Open Slate Beds' }).click();
    await page.getByRole('link', { name: /^.*Mould/ }).click();
    await page.getByRole('textbox', { name: 'Length', exact: true }).fill('302 mm');
    await page.getByRole('link', { name: 'To the shelf' }).click();
    await page.getByRole('button', { name: 'Duplicate Slate Beds', exact: true }).click();
    await page.getByRole('link', { name: 'Open Slate Beds copy' }).click();
    await page.getByRole('link', { name: /^.*Mould/ }).click();
    expect(await fieldValue(page, 'Length')).to.equal('302 mm');
  });

  it('loses nothing when the tab is closed in mid-word', async () => {
    const page = s.page();
    await s.go(mould);
    const other = await s.tab(mould);
    await other.getByRole('textbox', { name: 'Length', exact: true }).fill('303 mm');
    await other.close();
    await page.goto(s.url());
    await page.getByRole('article', { name: 'Slate Beds' }).waitFor();
    await page.waitForTimeout(700);
    expect((await storedPlan(page, SLATE))!.mould.shape).to.include({ lengthMm: 303 });
  });
});

describe('tabs that live', () => {
  const s = studio();

  it('keep what they have not stored: a second one takes nothing and says nothing', async () => {
    const page = s.page();
    await s.go(mould);
    await sleepy(page);
    await page.getByRole('textbox', { name: 'Length', exact: true }).fill('311 mm');
    const other = await s.tab(mould);
    await ready(other);
    expect(await fieldValue(other, 'Length')).to.equal('250 mm');
    expect(await other.getByText(/another tab|brought back/).count()).to.equal(0);
    await wake(page);
    await saved(page);
    await other.getByText('Brought up to date with the other tab').waitFor();
    expect(await fieldValue(other, 'Length')).to.equal('311 mm');
  });

  it('keep an open conflict through the other’s edits, a reload and the closing of its tab', async () => {
    const page = s.page();
    await s.go(mould);
    const other = await s.tab(mould);
    await ready(other);
    await sleepy(page);
    await type(page, 'Length', '321 mm');
    await type(other, 'Width', '71 mm');
    await saved(other);
    await wake(page);
    await page.getByText('This plan was also changed in another tab').waitFor();
    await type(other, 'Width', '72 mm');
    await saved(other);
    await page.reload();
    await page.getByText('This plan was also changed in another tab').waitFor();
    expect(await fieldValue(page, 'Length')).to.equal('321 mm');
    await page.close();
    // the other tab goes to the shelf: it is listed there, and both are shown side by side
    await other.goto(s.url());
    await other.getByText('“Slate Beds” was changed in two places.').waitFor();
    await other.getByRole('link', { name: 'Decide' }).click();
    const both = other.getByRole('dialog', { name: 'Side by side' });
    const row = (name: string) => both.getByRole('row', { name: new RegExp(name) });
    await row('shape, length').waitFor();
    expect(await row('shape, length').innerText()).to.match(/321 mm\s+250 mm/);
    expect(await row('shape, width').innerText()).to.match(/92 mm\s+72 mm/);
    await both.getByRole('button', { name: 'Put mine over it' }).click();
    await saved(other);
    expect((await storedPlan(other, SLATE))!.mould.shape).to.include({ lengthMm: 321, widthMm: 92 });
    expect(await storedIn(other, 'drafts')).to.deep.equal([]);
  });

  it('do not share a name, also when one was opened from the other', async () => {
    const page = s.page();
    await s.go(mould);
    await sleepy(page);
    await page.getByRole('textbox', { name: 'Length', exact: true }).fill('331 mm');
    const [child] = await Promise.all([
      s.context().waitForEvent('page'),
      page.evaluate(`void window.open(location.href)`),
    ]);
    await ready(child);
    await type(child, 'Width', '73 mm');
    await saved(child);
    await wake(page);
    await page.getByText('This plan was also changed in another tab').waitFor();
    expect((await storedIn<Draft>(page, 'drafts')).map((d) => d.plan.mould.shape.lengthMm)).to.deep.equal([
      331,
    ]);
  });

  it('in one field that stays open go on from each other’s words and figures: nothing is overwritten', async () => {
    const page = s.page();
    await s.go(mould);
    const other = await s.tab(mould);
    await ready(other);
    const notes = async (p: Page) => {
      const dialog = p.getByRole('dialog', { name: 'This plan' });
      if (!(await dialog.isVisible())) await p.getByRole('button', { name: 'Name, notes and units' }).click();
      return dialog.getByRole('textbox', { name: 'Notes' });
    };
    const add = async (p: Page, word: string): Promise<void> => {
      await (await notes(p)).focus();
      await p.keyboard.press('Control+End');
      await p.keyboard.type(word);
      await saved(p);
      await p.waitForTimeout(400);
    };
    const ends = async (p: Page, end: string): Promise<unknown> => {
      await notes(p);
      return p.waitForFunction(
        (text) => document.querySelector<HTMLTextAreaElement>('dialog textarea')?.value.endsWith(text),
        end,
      );
    };
    await add(page, ' one');
    await ends(other, ' one');
    await add(other, ' two');
    // the field was never left here, and has the other's words
    await ends(page, ' one two');
    await add(page, ' three');
    await ends(other, ' one two three');
    for (const p of [page, other]) await p.getByRole('button', { name: 'Done' }).click();
    const length = (p: Page) => p.getByRole('textbox', { name: 'Length', exact: true });
    await length(page).fill('261');
    await saved(page);
    await other.waitForTimeout(500);
    await length(other).fill('262 mm');
    await saved(other);
    await page.waitForFunction(() =>
      [...document.querySelectorAll('input')].some((i) => i.value === '262 mm'),
    );
    await page.keyboard.press('End');
    expect(await length(page).inputValue()).to.equal('262 mm');
  });

  it('lose nothing to Escape: it says what it took back, keeps the dialog open, and one undo or one press brings it again', async () => {
    const page = s.page();
    await s.go(mould);
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    const dialog = page.getByRole('dialog', { name: 'This plan' });
    const notes = dialog.getByRole('textbox', { name: 'Notes' });
    const before = await notes.inputValue();
    await notes.fill('a long note');
    await saved(page);
    await page.waitForTimeout(400);
    await notes.press('Escape');
    expect(await notes.inputValue()).to.equal(before);
    await dialog.getByText('What was typed is taken back').waitFor();
    await dialog.getByRole('button', { name: 'Bring it back' }).click();
    expect(await notes.inputValue()).to.equal('a long note');
    await notes.fill('another note');
    await saved(page);
    await notes.press('Escape');
    await notes.press('Escape');
    await dialog.waitFor({ state: 'hidden' });
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await saved(page);
    await page.waitForTimeout(400);
    expect((await storedPlan(page, SLATE))!.notes).to.equal('another note');
  });

  it('undo of a delete never writes over what was stored again', async () => {
    const page = s.page();
    await s.go(mould);
    const shelf = await s.tab('/');
    await shelf.getByRole('button', { name: 'Delete Slate Beds' }).click();
    await type(page, 'Length', '341 mm');
    await page.getByText('This plan was deleted in another tab').waitFor();
    await page.getByRole('button', { name: 'Store it again' }).click();
    await saved(page);
    await shelf.getByRole('button', { name: 'Undo' }).click();
    await shelf.getByText('came back as “Slate Beds (2)”').waitFor();
    expect((await storedPlan(page, SLATE))!.mould.shape).to.include({ lengthMm: 341 });
  });

  it('on one colorant keep both edits', async () => {
    const page = s.page();
    await page.goto(`${s.url()}/colorants`);
    const other = await s.tab('/colorants');
    for (const p of [page, other])
      await p
        .getByRole('button', { name: /Heather violet|Heather/ })
        .first()
        .click();
    const stock = (p: Page) => p.getByRole('textbox', { name: 'In stock' });
    const spoon = (p: Page) => p.getByRole('textbox', { name: 'A level teaspoon weighs' });
    await Promise.all([stock(page).fill('40'), spoon(other).fill('1.9')]);
    await Promise.all([stock(page).press('Enter'), spoon(other).press('Enter')]);
    // each has what the other stored, without being loaded anew
    const both = async (p: Page): Promise<void> => {
      for (const value of ['40 g', '1.9 g'])
        await p.waitForFunction(
          (shown) => [...document.querySelectorAll('input')].some((i) => i.value === shown),
          value,
        );
    };
    await both(page);
    await both(other);
    for (const p of [page, other]) {
      await p.reload();
      await p
        .getByRole('button', { name: /Heather violet|Heather/ })
        .first()
        .click();
      await both(p);
      expect([await stock(p).inputValue(), await spoon(p).inputValue()]).to.deep.equal(['40 g', '1.9 g']);
    }
  });
});

describe('a clock that is set back', () => {
  const s = studio({ opens: true });

  it('loses nothing that was not stored yet', async () => {
    const page = s.page();
    await s.context().addInitScript(`Date = class extends Date {
      constructor(...of) { super(...(of.length > 0 ? of : [Date.now()])); }
      static now() { return 1e12; }
    };`);
    await s.go(mould);
    await page.getByRole('textbox', { name: 'Length', exact: true }).fill('351 mm');
    await page.reload();
    await ready(page);
    expect(await fieldValue(page, 'Length')).to.equal('351 mm');
    await saved(page);
  });
});

describe('storage that fails', () => {
  const s = studio({ opens: true });
  const bar = (page: Page) =>
    page.getByRole('alert').filter({ hasText: /Not stored|Storage cannot be used/ });
  const withFault = async (name: FaultName, from: 'start' | 'later', path: string): Promise<Page> => {
    const page = await s.context().newPage();
    await page.addInitScript(faultScript(name, from));
    await page.goto(s.url() + path);
    return page;
  };

  it('is told on the shelf and in a plan, never as "Opening" for ever', async () => {
    const shelf = await withFault('open fails', 'start', '/');
    await bar(shelf).getByText('does not let Drip Line store anything').waitFor();
    await shelf.getByText('The shelf cannot be read now').waitFor();
    const plan = await withFault('open never answers', 'start', mould);
    await plan.getByText('This plan cannot be read now').waitFor({ timeout: 9000 });
    await plan.evaluate('window.name = "healed"');
    await plan.getByRole('button', { name: 'Try again' }).last().click();
    await ready(plan);
  });

  it('lets a new plan be made, worked on, exported, and stored when it can be', async () => {
    const page = await withFault('both full', 'start', '/');
    await begin(page, 'Blank');
    await ready(page);
    await type(page, 'Length', '361 mm');
    await bar(page).getByText('no room left').waitFor();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export what is not stored' }).click(),
    ]);
    expect(JSON.parse(readFileSync(await file.path(), 'utf8'))).to.have.nested.property(
      'mould.shape.lengthMm',
      361,
    );
    await page.getByRole('link', { name: 'To the shelf' }).click();
    const card = page.getByRole('article', { name: 'New plan' });
    await card.getByText('not stored').waitFor();
    await page.evaluate('window.name = "healed"');
    // it may be tried again by itself in this moment
    const again = bar(page).getByRole('button', { name: 'Try again' });
    await again.click({ timeout: 2000 }).catch(() => undefined);
    await bar(page).waitFor({ state: 'hidden' });
    await card.getByText('not stored').waitFor({ state: 'detached' });
    const stored = await storedIn<{ plan: { name: string } }>(page, 'plans');
    expect(stored.map((r) => r.plan.name)).to.include('New plan');
  });

  it('asks before the tab is closed while something is not stored, and only then', async () => {
    const page = await withFault('writes refused', 'later', mould);
    await ready(page);
    await type(page, 'Length', '371 mm');
    await saved(page);
    await page.evaluate('window.broken = true');
    await type(page, 'Length', '372 mm');
    await bar(page).waitFor();
    const asked = page.waitForEvent('dialog');
    void page.close({ runBeforeUnload: true });
    const question = await asked;
    expect(question.type()).to.equal('beforeunload');
    await question.dismiss();
    await page.evaluate('window.name = "healed"');
    await saved(page);
    await page.close({ runBeforeUnload: true });
  });

  it('is told for what is imported, duplicated, and undone of a delete', async () => {
    const page = await withFault('writes refused', 'later', '/');
    await page.getByRole('button', { name: 'Delete Slate Beds' }).click();
    await page.getByText('“Slate Beds” is in the bin').waitFor();
    await page.evaluate('window.broken = true');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('“Slate Beds” could not be put back').waitFor();
    await page.getByRole('button', { name: 'Duplicate Copper Weir' }).click();
    await page.getByRole('article', { name: 'Copper Weir copy' }).getByText('not stored').waitFor();
    await page.getByRole('button', { name: 'Delete Beck Pool' }).click();
    await page.getByText('“Beck Pool” could not be taken off the shelf').waitFor();
    await page.evaluate('window.name = "healed"');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('article', { name: 'Slate Beds' }).waitFor();
  });

  it('does without localStorage', async () => {
    const page = await withFault('localStorage denied', 'start', mould);
    await ready(page);
    await page.getByRole('button', { name: 'Evening colours' }).click();
    await type(page, 'Length', '381 mm');
    await saved(page);
    expect(await page.locator('html').getAttribute('data-theme')).to.equal('evening');
  });

  it('of a newer Drip Line is left alone', async () => {
    const page = s.page();
    await page.goto('about:blank');
    const raising = await s.context().newPage();
    await raising.goto(`${s.url()}/no/such/place`);
    await raising.evaluate(`new Promise((done) => {
      const opening = indexedDB.open('drip-line', 9990);
      opening.onsuccess = () => { opening.result.close(); done(); };
    })`);
    await page.goto(s.url());
    await bar(page).getByText('written by a newer Drip Line').waitFor();
    await page.goto(s.url() + mould);
    await page.getByText('This plan cannot be read now').waitFor();
  });

  it('held by another tab in an older state says whose fault it is', async () => {
    const page = s.page();
    await page.goto(`${s.url()}/no/such/place`);
    // an older Drip Line that does not give way
    await page.evaluate(`new Promise((done, failed) => {
      const away = indexedDB.deleteDatabase('drip-line');
      away.onsuccess = () => {
        const opening = indexedDB.open('drip-line', 20);
        opening.onupgradeneeded = () => {
          const db = opening.result;
          const plans = db.createObjectStore('plans', { keyPath: 'id' });
          plans.createIndex('changed', 'changed');
          plans.createIndex('name', 'name');
          db.createObjectStore('marks', { keyPath: 'key' });
          db.createObjectStore('moulds', { keyPath: 'name' });
          db.createObjectStore('colorants', { keyPath: 'id' }).createIndex('name', 'name');
          db.createObjectStore('palettes', { keyPath: 'name' });
        };
        opening.onsuccess = () => { window.holding = opening.result; done(); };
        opening.onerror = () => failed(opening.error);
      };
    })`);
    const other = await s.tab('/');
    await bar(other).getByText('Another tab holds the storage in an older state').waitFor({ timeout: 9000 });
    await page.close();
    // once it is let go the page may go on by itself before the button is pressed
    await bar(other)
      .getByRole('button', { name: 'Try again' })
      .click({ timeout: 3000 })
      .catch(() => undefined);
    await other.getByRole('article', { name: 'Slate Beds' }).waitFor();
  });

  it('gives way to a newer Drip Line in another tab, and says so', async () => {
    const page = s.page();
    await s.go(mould);
    const raising = await s.context().newPage();
    await raising.goto(`${s.url()}/no/such/place`);
    await raising.evaluate(`new Promise((done) => {
      const opening = indexedDB.open('drip-line', 9990);
      opening.onsuccess = () => { opening.result.close(); done(); };
    })`);
    await bar(page).getByText('A newer Drip Line was opened in another tab').waitFor();
    await bar(page).getByRole('button', { name: 'Reload' }).waitFor();
  });
});

describe('a part of a page that fails', () => {
  const s = studio({ opens: true });
  /** These tests break something on purpose: what the browser says of it is no fault. */
  const bear = (page: Page): void => {
    page.removeAllListeners('console');
    page.removeAllListeners('pageerror');
  };

  it('fails alone when it cannot be shown: the rest of the workbench goes on', async () => {
    const page = s.page();
    await page.route(/assets\/CutStation-/, (route) =>
      route.fulfill({
        contentType: 'text/javascript',
        body: 'export const CutStation = () => { throw new Error("no such cut"); };',
      }),
    );
    await s.go(mould);
    bear(page);
    await page.getByRole('link', { name: /Cut/ }).click();
    await page.getByText('no such cut').waitFor();
    await page.getByRole('link', { name: /Batter/ }).click();
    await unfold(page, 'Lye and water');
    await type(page, 'Superfat', '6');
    await saved(page);
    await page.unroute(/assets\/CutStation-/);
    await page.goto(`${s.url()}/plan/${SLATE}/cut`);
    await page.getByRole('textbox', { name: 'Thickness' }).waitFor();
  });

  it('fails alone when it cannot be loaded, and can be loaded again', async () => {
    const page = s.page();
    await page.route(/assets\/CutStation-/, (route) => route.abort());
    await s.go(mould);
    bear(page);
    await page.getByRole('link', { name: /Cut/ }).click();
    await page.getByText('This part could not be loaded or shown').waitFor();
    await page.getByRole('link', { name: /Mould/ }).click();
    await type(page, 'Length', '391 mm');
    await saved(page);
    await page.getByRole('link', { name: /Cut/ }).click();
    await page.unroute(/assets\/CutStation-/);
    await page.getByRole('button', { name: 'Load it again' }).click();
    await page.getByRole('textbox', { name: 'Thickness' }).waitFor();
  });
});

describe('damaged records', () => {
  const s = studio({ opens: true });
  const damage = (page: Page): Promise<unknown> =>
    inStore(
      page,
      'plans',
      `store.get('${SLATE}').onsuccess = (e) => { const r = e.target.result; r.plan.changed = '2026-01-01T00:00:00+02'; store.put(r); };
       store.put({ id: 'torn' });
       store.put({ id: 'odd', name: 'Odd Sheet', changed: '2026-11-01T00:00:00.000Z', plan: { steps: [], changed: 'x' } });`,
    );

  it('stand on the shelf as such, beside the others, can be exported and set aside', async () => {
    const page = s.page();
    await damage(page);
    await page.reload();
    await page.getByRole('article', { name: 'Copper Weir' }).waitFor();
    await page.getByRole('article', { name: 'Slate Beds, damaged' }).waitFor();
    expect(await page.getByText('damaged as it is stored').count()).to.equal(3);
    const card = page.getByRole('article', { name: 'Slate Beds, damaged' });
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('button', { name: 'Export as stored' }).click(),
    ]);
    expect(JSON.parse(readFileSync(await file.path(), 'utf8'))).to.have.nested.property(
      'plan.changed',
      '2026-01-01T00:00:00+02',
    );
    await card.getByRole('button', { name: 'Set aside' }).click();
    await card.waitFor({ state: 'detached' });
    await page.getByRole('link', { name: 'What is kept' }).click();
    await page.getByText(`plan “${SLATE}”`).waitFor();
  });

  it('say what is wrong with them when they are opened', async () => {
    const page = s.page();
    await damage(page);
    await page.goto(s.url() + mould);
    await page.getByText('This plan is damaged as it is stored').waitFor();
    await page.getByText(/^changed: .*is no time/).waitFor();
    await page.getByRole('button', { name: 'Set aside' }).click();
    await page.getByRole('article', { name: 'Copper Weir' }).waitFor();
  });

  it('of the library are named, and the rest of it works', async () => {
    const page = s.page();
    await inStore(
      page,
      'colorants',
      `store.put({ id: 'bad', revision: 'r', version: 1, value: { name: 5 } });`,
    );
    await inStore(
      page,
      'moulds',
      `store.put({ name: 'Bent', revision: 'r', version: 2, value: { shape: {} } });`,
    );
    await inStore(page, 'palettes', `store.put({ name: 'Pale', revision: 'r', version: 99, value: {} });`);
    await page.goto(`${s.url()}/colorants`);
    await page.getByText('“bad” is damaged as it is stored').waitFor();
    await page.getByRole('button', { name: 'Set aside' }).click();
    await page.getByText('“bad” is damaged').waitFor({ state: 'detached' });
    await page.getByRole('textbox', { name: 'Name' }).waitFor();
    await s.go(mould);
    await page.getByText('“Bent” is damaged as it is stored').waitFor();
    await page.goto(`${s.url()}/plan/${SLATE}/colour/pots`);
    await openPot(page, 'A');
    await unfold(page, 'More');
    await page.getByRole('button', { name: 'Colour of pot A' }).click();
    await page.getByText('“Pale” is damaged as it is stored').waitFor();
  });

  it('one mould is not put over another of its name unasked', async () => {
    const page = s.page();
    await s.go(mould);
    await unfold(page, 'My moulds');
    await page.getByRole('button', { name: 'Keep this mould' }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: /^Export Wooden loaf/ }).click(),
    ]);
    const other = JSON.parse(readFileSync(await file.path(), 'utf8')) as {
      mould: { linerMm: number; name: string };
    };
    other.mould.linerMm = 3;
    await page.getByLabel('Mould file').setInputFiles({
      name: 'other.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(other)),
    });
    await page.getByText(`You have one called “${other.mould.name}” already`).waitFor();
    await page.getByRole('button', { name: /^Take it as/ }).click();
    await page.getByRole('button', { name: `Export ${other.mould.name} (2)` }).waitFor();
    const kept = await storedIn<{ value: { linerMm: number } }>(page, 'moulds');
    expect(kept.map((m) => m.value.linerMm).toSorted()).to.deep.equal([0.5, 3]);
  });
});
