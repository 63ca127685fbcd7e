import { launch } from '/work/main/test/e2e/support/browser.ts';
import { serve } from '/work/main/test/e2e/support/serve.ts';
const [, , out, path, w = '1280', h = '800', theme = 'day', choose = ''] = process.argv;
const served = await serve(true);
const browser = await launch();
const page = await browser.newPage({ viewport: { width: +w, height: +h }, reducedMotion: 'reduce' });
page.on('pageerror', (e) => console.log('E', e.message));
await page.goto(served.url);
await page.getByText('Slate Beds').first().waitFor();
await page.evaluate((t) => localStorage.setItem('drip-line/theme', t), theme);
await page.goto(served.url + path);
await page.evaluate(() => document.fonts.ready);
await page.waitForTimeout(500);
if (choose) {
  for (const c of choose.split(';')) {
    await page
      .getByRole('button', { name: new RegExp(c) })
      .first()
      .click();
    await page.waitForTimeout(200);
  }
}
await page.waitForTimeout(300);
await page.screenshot({ path: out!, animations: 'disabled' });
await browser.close();
served.stop();
