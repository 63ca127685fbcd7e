import { launch } from './support/browser.ts';
import { serve } from './support/serve.ts';
import { storedPlan } from './support/stored.ts';
import { overflow } from './support/fits.ts';
const dist = process.argv[3] ?? 'dist';
const served = await serve(true, dist);
const browser = await launch();
const seedAt = Number(process.argv[2] ?? 1);
let seed = seedAt * 7919;
const rnd = (): number => ((seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648);
const sizes = [[1280, 800], [390, 844], [640, 400]] as const;
const plans = ['slate-beds', 'ghyll-drop', 'heather-on-peat', 'beck-pool', 'copper-weir', 'basalt-columns'];
for (const [n, plan] of plans.entries()) {
  const [width, height] = sizes[n % 3]!;
  const context = await browser.newContext({ viewport: { width, height }, serviceWorkers: 'block', reducedMotion: 'reduce' });
  await context.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
  context.setDefaultTimeout(8000);
  const page = await context.newPage();
  const errors: string[] = []; const trail: string[] = [];
  page.on('pageerror', (e) => errors.push(e.message)); page.on('console', (m) => { if (m.type() === 'error') errors.push('console ' + m.text()); });
  const other = await context.newPage();
  await page.goto(`${served.url}/plan/demo-${plan}/design`); await page.locator('main h2').first().waitFor();
  const before = await storedPlan(page, 'demo-' + plan);
  let presses = 0;
  for (let i = 0; i < 110; i += 1) {
    if (i % 18 === 17) {
      const station = ['mould', 'batter', 'colour/pots', 'colour/ombre', 'clock/timetable', 'clock/conditions', 'cut', 'design'][Math.floor(rnd() * 8)]!;
      await page.keyboard.press('Escape');
      await page.evaluate(`history.pushState(null, '', '/plan/demo-${plan}/${station}'); dispatchEvent(new PopStateEvent('popstate', { state: null }))`);
      await page.waitForTimeout(300);
      trail.push('=> ' + station);
    }
    const list = page.locator('main button:visible, main summary:visible, main label:visible, nav[aria-label^="Drip line"] button:visible, [role=menuitem]:visible');
    const count = await list.count();
    if (count === 0) continue;
    const one = list.nth(Math.floor(rnd() * count));
    const name = ((await one.getAttribute('aria-label').catch(() => '')) ?? '') || (await one.innerText().catch(() => ''));
    if (/print|photo|pick|file|save|export|import|open another|forget|own colorants|keep (it )?as|calendar|sample|bring|make another|another plan|keep this|Keep|Learn|reading|now\b/i.test(name)) continue;
    trail.push(name.replace(/\s+/g, ' ').slice(0, 60));
    try { await one.click({ timeout: 2500 }); presses += 1; } catch (e) { /* covered or gone */ }
    if (rnd() < 0.15) { const f = page.locator('main input:visible').first(); if (await f.count()) { await f.focus().catch(() => {}); await page.keyboard.type(['7', '0', '12', '-', ''][Math.floor(rnd() * 5)]!); } }
    if (i % 22 === 21) {
      await page.waitForTimeout(400);
      const o = await overflow(page) as any;
      if (o.page > 0 || o.main > 0) console.log(plan, width, 'overflow', JSON.stringify(o), trail.slice(-4).join(' | '));
      if (!page.url().includes('demo-' + plan)) { console.log('left the plan by', trail.at(-1)); await page.goto(`${served.url}/plan/demo-${plan}/design`); await page.locator('main h2').first().waitFor(); }
    }
    if (errors.length > 0) { console.log(plan, 'ERROR', errors.splice(0).join('; '), 'after', trail.slice(-5).join(' | ')); }
  }
  // the second tab sees it with a field open
  await other.goto(`${served.url}/plan/demo-${plan}/mould`); await other.locator('main h2').first().waitFor();
  const field = other.locator('main input:visible').first(); await field.focus(); await other.keyboard.press('Control+a'); await other.keyboard.type('3');
  await page.bringToFront();
  await page.keyboard.press('Escape');
  const undone = await page.evaluate(async () => {
    const undo = document.querySelector<HTMLButtonElement>('button[aria-label="Undo"]')!; let steps = 0;
    for (; !undo.disabled && steps < 2000; steps += 1) { undo.click(); await new Promise((next) => setTimeout(next)); }
    return steps;
  });
  await page.waitForTimeout(2500);
  const after = await storedPlan(page, 'demo-' + plan);
  const strip = (p: any) => JSON.stringify({ ...p, changed: '' });
  const same = strip(before) === strip(after);
  const shown = await field.inputValue();
  const told = await other.getByRole('alert').allInnerTexts();
  console.log(plan, `${width}`, 'presses', presses, 'undone', undone, 'same', same, 'other tab field', JSON.stringify(shown), told.map((t) => t.slice(0, 80)).join(' / '), 'errors', errors.length, errors.join(';'));
  if (!same) { const a = before as any, b = after as any; for (const k of Object.keys(a)) if (JSON.stringify(a[k]) !== JSON.stringify(b?.[k])) console.log('   differs', k, JSON.stringify(a[k]).slice(0, 160), '->', JSON.stringify(b?.[k])?.slice(0, 160)); }
  await context.close();
}
await browser.close(); served.stop(); process.exit(0);
