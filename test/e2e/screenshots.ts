import { mkdirSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { begun, goUntil } from './support/day.ts';
import { launch } from './support/browser.ts';
import { serve } from './support/serve.ts';
import { inStore } from './support/stored.ts';

interface View {
  readonly name: string;
  readonly path: string;
  /** what is done before the picture */
  readonly first?: (page: Page) => Promise<unknown>;
  readonly press?: readonly RegExp[];
  /** what is waited for */
  readonly until?: RegExp;
}

/** Pictures of the main views for the README, from the demo studio. Run `npm run build` first. */
const VIEWS: readonly View[] = [
  { name: 'shelf', path: '/' },
  { name: 'begin', path: '/new' },
  { name: 'mould', path: '/plan/demo-slate-beds/mould' },
  { name: 'supplies', path: '/supplies', until: /You saw that it quickens/ },
  { name: 'design', path: '/plan/demo-slate-beds/design', press: [/^Pour 3:/] },
  { name: 'batter', path: '/plan/demo-slate-beds/batter' },
  { name: 'pots', path: '/plan/demo-slate-beds/colour/pots' },
  { name: 'ombre', path: '/plan/demo-heather-on-peat/colour/ombre' },
  { name: 'mixing', path: '/plan/demo-copper-weir/colour/mixing' },
  { name: 'colorants', path: '/colorants' },
  { name: 'pour-sheet', path: '/plan/demo-slate-beds/sheet/acts' },
  {
    name: 'pour-day',
    path: '/plan/demo-copper-weir/sheet/acts',
    first: async (on) => {
      await begun(on);
      await goUntil(on, ({ head }) => head.startsWith('Pour 4'));
    },
  },
  { name: 'tilted', path: '/plan/demo-copper-weir/design', press: [/^Pour 4:/, /Show it at/] },
  { name: 'tops', path: '/plan/demo-cotton-grass/design', press: [/^piping:/, /^Loaf$/] },
  { name: 'bars', path: '/plan/demo-basalt-columns/cut', press: [/^Loaf$/] },
  { name: 'cut', path: '/plan/demo-basalt-columns/cut' },
  { name: 'clock', path: '/plan/demo-scree-steps/clock', until: /of 100$/ },
  {
    name: 'ways',
    path: '/plan/demo-slate-beds/clock/ways',
    press: [/^Plan it for me$/],
    until: /ways were weighed/,
  },
  { name: 'both', path: '/plan/demo-copper-weir/design', press: [/^Look at both$/] },
];

const wanted = process.argv.slice(2);
const out = 'docs/screenshots';
mkdirSync(out, { recursive: true });
const served = await serve(true);
const browser = await launch();
const page = await browser.newPage({
  viewport: { width: 1280, height: 800 },
  reducedMotion: 'reduce',
  serviceWorkers: 'block',
});
await page.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
await page.goto(served.url);
await page.getByText('Slate Beds').waitFor();
/** A version of one plan that another tab had, for the picture of both. */
const anotherWay = (): Promise<unknown> =>
  inStore(
    page,
    'plans',
    `store.get('demo-copper-weir').onsuccess = (e) => {
     const { plan, version } = e.target.result;
     const other = { ...plan, batter: { ...plan.batter, superfatPercent: 6 }, notes: 'Ochre a touch paler next time.', pots: plan.pots.map((p, i) => (i === 1 ? { ...p, stage: 2 } : p)) };
     opening.result.transaction('drafts', 'readwrite').objectStore('drafts')
       .put({ planId: plan.id, page: 'gone', base: 'older', version, past: [], future: [], plan: other });
   };`,
  );
for (const view of VIEWS.filter((v) => wanted.length === 0 || wanted.includes(v.name))) {
  if (view.name === 'both') await anotherWay();
  await page.goto(served.url + view.path);
  await page.evaluate(() => document.fonts.ready);
  await view.first?.(page);
  for (const name of view.press ?? []) await page.getByRole('button', { name }).first().click();
  if (view.until) await page.getByText(view.until).first().waitFor();
  await page.waitForTimeout(400);
  // what is simulated is there, and sharp
  for (let i = 0; i < 100; i += 1) {
    if (
      (await page
        .locator('canvas[data-swirl]:not([data-swirl="sharp"]):not([data-swirl="unseen"])')
        .count()) === 0
    )
      break;
    await page.waitForTimeout(100);
  }
  await page.screenshot({ path: `${out}/${view.name}.png`, animations: 'disabled' });
}
await browser.close();
served.stop();
