import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import { EXTREMES } from '../support/extremes.ts';
import { launch } from './support/browser.ts';
import { serve } from './support/serve.ts';
import { inStore } from './support/stored.ts';
const served = await serve(true, '/tmp/new2');
const browser = await launch();
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
await context.addInitScript(`localStorage.setItem('drip-line/introduced', 'yes'); window.held = [];
 new PerformanceObserver((list) => window.held.push(...list.getEntries().map((e) => [e.startTime, e.duration]))).observe({ type: 'longtask', buffered: true });`);
const page = await context.newPage();
await page.goto(served.url); await page.getByText('Slate Beds').first().waitFor();
const cdp = await context.newCDPSession(page);
await cdp.send('Profiler.enable'); await cdp.send('Performance.enable'); await cdp.send('Profiler.setSamplingInterval', { interval: 1000 });
for (const arg of process.argv.slice(2)) {
  const [name, station] = arg.split(':') as [string, string];
  const plan = EXTREMES[name]!();
  const { id, changed } = plan;
  await inStore(page, 'plans', `store.put(${JSON.stringify({ id, name, changed, revision: 1, savedBy: 'soak', version: PLAN_VERSION, plan })});`);
  await page.goto(`${served.url}/plan/demo-slate-beds/${station}`); await page.locator('main h2').first().waitFor(); await page.waitForTimeout(1000);
  await page.goto(`${served.url}/plan/${id}/${station}`); await page.locator('main h2').first().waitFor({ timeout: 60000 }); await page.waitForTimeout(2500);
  await cdp.send('Profiler.start');
  await page.goto(`${served.url}/plan/${id}/${station}`); await page.locator('main h2').first().waitFor({ timeout: 60000 }); await page.waitForTimeout(2500);
  const { profile } = await cdp.send('Profiler.stop') as any;
  const { metrics } = await cdp.send('Performance.getMetrics') as any;
  const nav = metrics.find((m: any) => m.name === 'NavigationStart').value * 1e6;
  const held = (await page.evaluate('window.held') as [number, number][]).sort((a, b) => b[1] - a[1]);
  console.log(`== ${arg}: ` + held.slice(0, 5).map((h) => `${Math.round(h[1])}@${Math.round(h[0])}`).join(' '));
  const nodes = new Map<number, any>(profile.nodes.map((n: any) => [n.id, n]));
  const parent = new Map<number, number>(); for (const n of profile.nodes) for (const c of n.children ?? []) parent.set(c, n.id);
  for (const [start, dur] of held.slice(0, 2)) {
    if (dur < 120) continue;
    const a = nav + start * 1000, b = a + dur * 1000;
    let t = profile.startTime; const incl = new Map<string, number>(); const self = new Map<string, number>();
    for (let k = 0; k < profile.samples.length; k++) {
      t += profile.timeDeltas[k];
      if (t < a || t > b) continue;
      const dt = (profile.timeDeltas[k + 1] ?? 0) / 1000; const seen = new Set<string>();
      for (let at: number | undefined = profile.samples[k], first = true; at !== undefined; at = parent.get(at), first = false) {
        const f = nodes.get(at).callFrame; const key = f.functionName + ' ' + f.url.split('/').pop().replace(/-.*/, '');
        if (first) self.set(key, (self.get(key) ?? 0) + dt);
        if (!seen.has(key)) { seen.add(key); incl.set(key, (incl.get(key) ?? 0) + dt); }
      }
    }
    const drop = /react|scheduler|^perform|^begin|^commit|^recursively|^flush|^work|^render|^run|^process|^dispatch|^(root)/;
    console.log(` ${Math.round(dur)} ms incl: ` + [...incl].filter(([k]) => !drop.test(k)).sort((x, y) => y[1] - x[1]).slice(0, 22).map(([k, v]) => `${Math.round(v)} ${k}`).join(' | '));
    console.log(`   self: ` + [...self].sort((x, y) => y[1] - x[1]).slice(0, 8).map(([k, v]) => `${Math.round(v)} ${k}`).join(' | '));
  }
  await inStore(page, 'plans', `store.delete(${JSON.stringify(id)});`);
}
await browser.close(); served.stop(); process.exit(0);
