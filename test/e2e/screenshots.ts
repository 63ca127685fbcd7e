import { mkdirSync } from 'node:fs';
import { launch } from './support/browser.ts';
import { serve } from './support/serve.ts';

/** Pictures of the main views for the README, from the demo studio. Run `npm run build` first. */
const VIEWS: readonly { readonly name: string; readonly path: string; readonly press?: readonly RegExp[] }[] =
  [
    { name: 'shelf', path: '/' },
    { name: 'mould', path: '/plan/demo-slate-beds/mould' },
    { name: 'design', path: '/plan/demo-slate-beds/design', press: [/^Pour 3:/] },
    { name: 'batter', path: '/plan/demo-slate-beds/batter' },
    { name: 'pots', path: '/plan/demo-slate-beds/colour/pots' },
    { name: 'ombre', path: '/plan/demo-heather-on-peat/colour/ombre' },
    { name: 'mixing', path: '/plan/demo-copper-weir/colour/mixing' },
    { name: 'blends', path: '/plan/demo-beck-pool/colour/ombre' },
    { name: 'heather', path: '/plan/demo-heather-on-peat/design' },
    { name: 'colorants', path: '/colorants' },
    { name: 'pour-sheet', path: '/plan/demo-slate-beds/pour-day' },
    { name: 'tilted', path: '/plan/demo-copper-weir/design', press: [/^Pour 4:/, /Show it at/] },
    { name: 'loaf', path: '/plan/demo-copper-weir/design', press: [/^Loaf$/] },
    { name: 'bars', path: '/plan/demo-copper-weir/cut', press: [/^Bars$/] },
    { name: 'cut', path: '/plan/demo-slate-beds/cut' },
  ];

const wanted = process.argv.slice(2);
const out = 'docs/screenshots';
mkdirSync(out, { recursive: true });
const served = await serve(true);
const browser = await launch();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
await page.goto(served.url);
await page.getByText('Slate Beds').waitFor();
for (const view of VIEWS.filter((v) => wanted.length === 0 || wanted.includes(v.name))) {
  await page.goto(served.url + view.path);
  await page.evaluate(() => document.fonts.ready);
  for (const name of view.press ?? []) await page.getByRole('button', { name }).first().click();
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${out}/${view.name}.png`, animations: 'disabled' });
}
await browser.close();
served.stop();
