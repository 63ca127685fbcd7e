// npm run soak [-- kills=200 days=60 tabs=200 open=60 faults=60 files=1000 limits=1 seed=1]: what the
// product must bear, in the real browser. Apart from npm test: the whole of it takes about an hour. The same
// seed tries the same.
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launch } from '../e2e/support/browser.ts';
import { serve } from '../e2e/support/serve.ts';
import { faults } from './faults.ts';
import { files } from './files.ts';
import { killRun } from '../e2e/support/killRun.ts';
import { kills } from './kills.ts';
import { openFields } from './openFields.ts';
import { limits } from './limits.ts';
import type { Row } from './row.ts';
import { tabs } from './tabs.ts';

const given = new Map(process.argv.slice(2).map((a) => a.split('=') as [string, string]));
const only = ['kills', 'days', 'tabs', 'open', 'faults', 'files', 'limits'].some((k) => given.has(k));
/** What is named is tried; where nothing is named, everything. */
const count = (what: string, usual: number): number => Number(given.get(what) ?? (only ? 0 : usual));
const seed = Number(given.get('seed') ?? 1);

// a copy: a build meanwhile must not change what is tried
const pageDir = mkdtempSync(join(tmpdir(), 'drip-line-soak-page-'));
cpSync('dist', pageDir, { recursive: true });
const served = await serve(true, pageDir);
const browser = await launch();
const tries: readonly (readonly [number, () => Promise<Row>])[] = [
  [count('kills', 200), () => kills(served.url, count('kills', 200), seed)],
  [
    count('days', 60),
    async () => ({
      what: 'browser killed while a batch is made',
      tried: count('days', 60),
      lost: await killRun(served.url, { plan: 'scree-steps', kills: count('days', 60), seed }),
    }),
  ],
  [count('tabs', 200), () => tabs(browser, served.url, count('tabs', 200), seed)],
  [count('open', 60), () => openFields(browser, pageDir, count('open', 60), seed)],
  [count('faults', 60), () => faults(browser, served.url, count('faults', 60), seed)],
  [count('limits', 1), () => limits(browser, served.url, undefined)],
  [count('files', 1000), () => files(browser, served.url, count('files', 1000), seed)],
];
let bad = 0;
process.stdout.write(`seed ${seed}\n${'tried'.padStart(6)} ${'lost'.padStart(5)}  what\n`);
for (const [wanted, attempt] of tries) {
  if (wanted === 0) continue;
  const row = await attempt();
  bad += row.lost.length;
  process.stdout.write(
    `${String(row.tried).padStart(6)} ${String(row.lost.length).padStart(5)}  ${row.what}${row.note ? `: ${row.note}` : ''}\n`,
  );
  for (const line of row.lost) process.stdout.write(`              ${line}\n`);
}
await browser.close();
served.stop();
rmSync(pageDir, { recursive: true, force: true });
process.exitCode = bad > 0 ? 1 : 0;
