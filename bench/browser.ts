import type { Page } from 'playwright-core';
import { launch } from '../test/e2e/support/browser.ts';
import { serve } from '../test/e2e/support/serve.ts';
import { PLAN_VERSION } from '../src/core/plan/planVersion.ts';
import { zigzag } from '../src/core/edit/tilt.ts';
import type { Plan } from '../src/core/plan/planSchema.ts';
import { computePlan } from '../src/core/computed/compute.ts';
import { benchClockPage, layersOf } from './clock.ts';
import { gradedLoaf } from './colour.ts';
import { twelveLayers } from './core.ts';
import { ms, percentile, type Say } from './measure.ts';

/** Put plans straight into the browser's database, as the product stores them. */
async function store(page: Page, plans: readonly object[]): Promise<void> {
  await page.evaluate(async (records) => {
    const open = indexedDB.open('drip-line');
    const db = await new Promise<IDBDatabase>((done, fail) => {
      open.onsuccess = () => {
        done(open.result);
      };
      open.onerror = () => {
        fail(new Error('no database'));
      };
    });
    const transaction = db.transaction('plans', 'readwrite');
    for (const record of records) transaction.objectStore('plans').put(record);
    await new Promise((done) => {
      transaction.oncomplete = done;
    });
    db.close();
  }, plans);
}

const recordOf = (id: string, name: string, day: number, made = twelveLayers()): object => {
  const plan = { ...made, id, name };
  const changed = new Date(Date.UTC(2026, 0, 1) + day * 3_600_000).toISOString();
  return {
    id,
    name,
    changed,
    revision: 1,
    savedBy: 'bench',
    version: PLAN_VERSION,
    plan: { ...plan, changed },
  };
};

/** The same plan with its mould turned at every pour. */
function tiltedLayers(): Plan {
  const plan = twelveLayers();
  return zigzag(plan, computePlan(plan).stack.layers, 'edge', 5);
}

/** From now on the page notes how long each such event is worked on, ms. */
const listen = (page: Page, event: string): Promise<void> =>
  page.evaluate((name) => {
    const times: number[] = [];
    Object.assign(window, { times });
    // React handles the event inside its dispatch: from the first listener to after the last one
    let start = 0;
    addEventListener(name, () => (start = performance.now()), { capture: true });
    addEventListener(name, () => queueMicrotask(() => times.push(performance.now() - start)));
  }, event);

const noted = (page: Page): Promise<number[]> =>
  page.evaluate(() => (window as unknown as { times: number[] }).times);

/** Scripting time of each pointer move while a layer line is dragged, ms. */
async function dragTimes(page: Page): Promise<number[]> {
  const line = page.getByRole('slider', { name: /Top of pour 6,/ });
  const box = await line.boundingBox();
  if (!box) throw new Error('no line to drag');
  await listen(page, 'pointermove');
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < 240; i += 1) await page.mouse.move(x, y + 12 * Math.sin(i / 9));
  await page.mouse.up();
  return noted(page);
}

/**
 * From a key on the ombre's curve until the page is laid out anew, ms: graded, weighed and drawn each time.
 */
async function bendTimes(page: Page): Promise<number[]> {
  await page.getByText('Bent by hand').click();
  const knot = page.getByRole('slider', { name: 'The layer half up the ombre' });
  await knot.focus();
  return knot.evaluate(async (element) => {
    const times: number[] = [];
    for (let i = 0; i < 60; i += 1) {
      await new Promise((done) => requestAnimationFrame(done));
      const start = performance.now();
      const key = i % 20 < 10 ? 'ArrowUp' : 'ArrowDown';
      element.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      // React draws at the end of the event, in a microtask
      await new Promise<void>((done) => {
        queueMicrotask(done);
      });
      document.body.getBoundingClientRect();
      times.push(performance.now() - start);
    }
    return times;
  });
}

/** Scripting time of each keystroke in the notes, ms. */
async function noteTimes(page: Page): Promise<number[]> {
  await page.getByRole('button', { name: 'Name, notes and units' }).click();
  await page.getByRole('textbox', { name: 'Notes' }).focus();
  await listen(page, 'input');
  await page.keyboard.type('poured by the east window, in the cold; '.repeat(3));
  return noted(page);
}

/** Longest gap between frames while the shelf scrolls from end to end, and the time until it stands. */
async function shelfTimes(page: Page, url: string): Promise<{ opened: number; gaps: number[] }> {
  const start = performance.now();
  await page.goto(url);
  await page.locator('article svg').first().waitFor();
  const opened = performance.now() - start;
  const gaps = await page.evaluate(async () => {
    const shelf = document.querySelector('[data-testid=shelf]');
    const list: number[] = [];
    let last = performance.now();
    for (let i = 0; i < 180; i += 1) {
      shelf?.scrollBy(0, 160);
      await new Promise((done) => requestAnimationFrame(done));
      const now = performance.now();
      list.push(now - last);
      last = now;
    }
    return list;
  });
  return { opened, gaps };
}

export async function benchBrowser(say: Say): Promise<void> {
  const served = await serve(false);
  const browser = await launch();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // as it is after a first visit
  await page.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
  await page.goto(served.url);
  await page.getByText('An empty shelf').waitFor();
  await store(
    page,
    Array.from({ length: 2000 }, (_, i) => recordOf(`plan-${i}`, `Plan ${i}`, i)),
  );

  await page.goto(`${served.url}/plan/plan-7/design`);
  await page.getByRole('slider').first().waitFor();
  const drag = await dragTimes(page);
  say('dragging a line, scripting per move, median', ms(percentile(drag, 50)));
  say('dragging a line, scripting per move, 95th percentile (aim: 16 ms)', ms(percentile(drag, 95)));

  await store(page, [recordOf('tilted', 'Tilted', 1, tiltedLayers())]);
  await page.goto(`${served.url}/plan/tilted/design`);
  await page.getByRole('slider').first().waitFor();
  const slanted = await dragTimes(page);
  say('dragging a line of 12 tilted pours, median (aim: 8 ms)', ms(percentile(slanted, 50)));
  say('dragging a line of 12 tilted pours, 95th percentile', ms(percentile(slanted, 95)));

  const notes = await noteTimes(page);
  say('a keystroke in the notes of 12 tilted pours, median', ms(percentile(notes, 50)));

  await store(page, [recordOf('graded', 'Graded', 1, gradedLoaf())]);
  await page.goto(`${served.url}/plan/graded/colour/ombre`);
  await page.getByRole('heading', { name: 'Additions' }).waitFor();
  const bends = await bendTimes(page);
  say('grading 24 layers anew and redrawing, median (aim: 16 ms)', ms(percentile(bends, 50)));
  say('grading 24 layers anew and redrawing, 95th percentile', ms(percentile(bends, 95)));

  await store(page, [recordOf('timed', 'Timed', 1, layersOf(8))]);
  await benchClockPage(page, served.url, 'timed', say);

  const { opened, gaps } = await shelfTimes(page, served.url);
  say('shelf of 2 000 plans, until the first loaves stand', ms(opened));
  say('shelf of 2 000 plans, frame gap while scrolling, 95th percentile', ms(percentile(gaps, 95)));
  await browser.close();
  served.stop();
}
