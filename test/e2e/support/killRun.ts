import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { seeded } from '../../support/random.ts';
import { begun, goOn, isEnd, onScreen, type OnScreen } from './day.ts';
import { kill, openProfile } from './profile.ts';
import { storedIn } from './stored.ts';

interface KillRun {
  readonly plan: string;
  readonly kills: number;
  readonly seed: number;
}

/** How many acts are written down as done. */
async function doneIn(page: Page): Promise<number> {
  const events = await storedIn<{ readonly value: { readonly does: string; readonly act?: string } }>(
    page,
    'events',
  );
  return new Set(events.flatMap((e) => (e.value.does === 'done' ? [e.value.act ?? ''] : []))).size;
}

/** The act that it stands at, from 1; past all of them at the end. */
const nthOf = ({ nth, head }: OnScreen): number =>
  head === 'Make ready' ? 0 : Number(/act (\d+)/.exec(nth)?.[1] ?? Infinity);

/**
 * A batch is made by keys, and the browser killed at moments of chance, also in the middle of a write: each
 * act that was shown as done has to be there when it is opened again. What was not, told one by one.
 */
export async function killRun(url: string, { plan, kills, seed }: KillRun): Promise<readonly string[]> {
  const next = seeded(seed);
  const profile = mkdtempSync(join(tmpdir(), 'drip-line-killed-'));
  const lost: string[] = [];
  const sheet = `/plan/demo-${plan}/sheet/acts`;
  let path = sheet;
  let shown = 0;
  for (let n = 0; n <= kills; n += 1) {
    const context = await openProfile(profile);
    const page = context.pages()[0] ?? (await context.newPage());
    await page.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
    if (n === 0) {
      await page.goto(url);
      await page.getByText('Slate Beds').first().waitFor();
    }
    await page.goto(url + path);
    if (path === sheet) path = await begun(page);
    await page.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
    const now = await onScreen(page);
    const stands = nthOf(now);
    if (stands < shown) lost.push(`seed ${seed}, kill ${n}: stood at act ${shown}, stands at ${now.nth}`);
    if (shown > 1 && shown < Infinity && (await doneIn(page)) < shown - 1)
      lost.push(`seed ${seed}, kill ${n}: ${shown - 1} acts were shown as done`);
    if (isEnd(now)) {
      path = sheet;
      shown = 0;
    } else {
      for (let left = 1 + Math.floor(next() * 5); left > 0 && shown < Infinity; left -= 1)
        shown = nthOf(await goOn(page));
      // the last press is perhaps on its way into storage
      if (next() < 0.5) void page.keyboard.press(' ').catch(() => undefined);
      await new Promise((wait) => setTimeout(wait, next() * 25));
    }
    kill(profile);
    await context.close().catch(() => undefined);
  }
  rmSync(profile, { recursive: true, force: true });
  return lost;
}
