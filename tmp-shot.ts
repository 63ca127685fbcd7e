import { launch } from './test/e2e/support/browser.ts';
import { serve } from './test/e2e/support/serve.ts';
// usage: tsx tmp-shot.ts out.png path [WxH] [press regex...]
const [out, path, size = '1280x800', ...press] = process.argv.slice(2);
const [w, h] = size.split('x').map(Number);
const served = await serve(true);
const browser = await launch();
const page = await browser.newPage({ viewport: { width: w!, height: h! }, reducedMotion: 'reduce', serviceWorkers: 'block' });
page.on('pageerror', (e) => console.log('PAGE ERROR', e.message));
page.on('console', (m) => { if (m.type() === 'error') console.log('CONSOLE', m.text()); });
await page.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
await page.goto(served.url);
await page.getByText('Slate Beds').waitFor();
await page.goto(served.url + path);
await page.waitForTimeout(1800);
for (const p of press) {
  if (p.startsWith('scroll:')) { const [, sel, y] = p.split(':'); await page.locator(sel!).evaluate((e, top) => { e.scrollTop = Number(top); }, y); }
  else if (p.startsWith('wait:')) await page.waitForTimeout(Number(p.slice(5)));
  else if (p.startsWith('link:')) await page.getByRole('link', { name: new RegExp(p.slice(5)) }).first().click();
  else await page.getByRole('button', { name: new RegExp(p) }).first().click();
  await page.waitForTimeout(400);
}
await page.screenshot({ path: out! });
await browser.close(); served.stop();
