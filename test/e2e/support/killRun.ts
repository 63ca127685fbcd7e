import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chromium, type Browser, type Page } from 'playwright-core';
import { CHROMIUM_ARGS, chromiumPath } from './browser.ts';
import { begun, goOn, isEnd, onScreen } from './day.ts';
import { serve } from './serve.ts';
import { storedIn } from './stored.ts';

interface KillRun {
  readonly plan: string;
  readonly kills: number;
  readonly seed: number;
}

/** Numbers of chance from 0 to 1, the same for the same seed (Park and Miller, 1988). */
function chance(seed: number): () => number {
  let x = seed;
  return () => (x = (x * 48271) % 2147483647) / 2147483647;
}

/** A browser of its own process, with its profile in a directory. */
async function browserOn(
  dir: string,
): Promise<{ readonly process: ChildProcess; readonly browser: Browser }> {
  const child = spawn(
    chromiumPath(),
    [...CHROMIUM_ARGS, '--headless', `--user-data-dir=${dir}`, '--remote-debugging-port=0', 'about:blank'],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  );
  const at = await new Promise<string>((found, failed) => {
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const [, url] = /listening on (ws:\S+)/.exec(said) ?? [];
      if (url !== undefined) found(url);
    });
    child.once('exit', () => failed(new Error(`the browser did not start: ${said}`)));
  });
  return { process: child, browser: await chromium.connectOverCDP(at) };
}

const doneIn = async (page: Page): Promise<ReadonlySet<string>> => {
  const events = await storedIn<{ readonly value: { readonly does: string; readonly act?: string } }>(
    page,
    'events',
  );
  return new Set(events.flatMap((e) => (e.value.does === 'done' ? [e.value.act ?? ''] : [])));
};

/**
 * A batch is made by keys, and the browser killed at moments of chance, also in the middle of a write: each
 * act that was shown as done has to be there when it is opened again. What was not, told one by one.
 */
export async function killRun({ plan, kills, seed }: KillRun): Promise<readonly string[]> {
  const next = chance(seed);
  const served = await serve(true);
  const dir = mkdtempSync(join(tmpdir(), 'drip-line-killed-'));
  const lost: string[] = [];
  let path = `/plan/demo-${plan}/sheet/acts`;
  let shown = { nth: '', head: '' };
  try {
    for (let n = 0; n <= kills; n += 1) {
      const { process: child, browser } = await browserOn(dir);
      const [context] = browser.contexts();
      const page = await context?.newPage();
      if (!page) throw new Error('no page');
      await page.addInitScript("localStorage.setItem('drip-line/introduced', 'yes')");
      if (n === 0) {
        await page.goto(served.url);
        await page.getByText('Slate Beds').first().waitFor();
      }
      await page.goto(served.url + path);
      if (path.startsWith('/plan/')) path = await begun(page);
      await page.waitForFunction(() => document.querySelectorAll('footer button').length > 1);
      const now = await onScreen(page);
      const before = Number(/act (\d+)/.exec(shown.nth)?.[1] ?? 0);
      const after = Number(/act (\d+)/.exec(now.nth)?.[1] ?? Infinity);
      if (after < before) lost.push(`kill ${n}: stood at ${shown.nth}, stands at ${now.nth}`);
      if (before > 1 && (await doneIn(page)).size < before - 1)
        lost.push(`kill ${n}: ${before - 1} were done`);
      if (isEnd(now)) {
        path = `/plan/demo-${plan}/sheet/acts`;
        shown = { nth: '', head: '' };
      } else {
        const presses = 1 + Math.floor(next() * 5);
        for (let p = 0; p < presses; p += 1) shown = await goOn(page);
        // the last press is perhaps on its way into storage
        if (next() < 0.5) void page.keyboard.press(' ').catch(() => undefined);
        await new Promise((wait) => setTimeout(wait, next() * 25));
      }
      process.kill(-(child.pid ?? 0), 'SIGKILL');
      await once(child, 'exit');
      await browser.close().catch(() => undefined);
    }
  } finally {
    served.stop();
    rmSync(dir, { recursive: true, force: true });
  }
  return lost;
}
