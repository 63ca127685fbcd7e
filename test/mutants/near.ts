import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A file of tests, and what it takes. */
export interface Spec {
  readonly file: string;
  readonly seconds: number;
}

interface Covered {
  readonly url: string;
  readonly functions: readonly {
    readonly functionName: string;
    readonly ranges: readonly { readonly count: number }[];
  }[];
}

const MOCHA = [
  'mocha',
  '--no-config',
  '--node-option',
  'import=tsx',
  '--require',
  'fake-indexeddb/auto',
  '--bail',
];

/** Run files of tests in a folder that holds the project: true where all passed. A run that goes on for too long has failed. */
export const passes = (
  root: string,
  specs: readonly string[],
  env: Readonly<Record<string, string>> = {},
  mostS = 600,
): Promise<boolean> =>
  new Promise((done) => {
    const child = spawn('npx', [...MOCHA, '--timeout', '120000', ...specs], {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: 'ignore',
      detached: true,
    });
    const timer = setTimeout(() => {
      if (child.pid !== undefined) process.kill(-child.pid, 'SIGKILL');
    }, mostS * 1000);
    child.on('close', (code) => {
      clearTimeout(timer);
      done(code === 0);
    });
  });

/** The files of the source of which some function ran. */
function ran(folder: string): readonly string[] {
  const files = new Set<string>();
  for (const file of readdirSync(folder)) {
    const { result } = JSON.parse(readFileSync(join(folder, file), 'utf8')) as { result: readonly Covered[] };
    for (const { url, functions } of result) {
      const [, path] = /(src\/core\/.+\.ts)$/.exec(url) ?? [];
      // what runs when a file is loaded has no name
      if (path && functions.some((f) => f.functionName !== '' && f.ranges.some((r) => r.count > 0)))
        files.add(path);
    }
  }
  return [...files];
}

/** By file of the source: the files of tests in which some of it runs, the quickest first. */
export async function nearTests(
  root: string,
  specs: readonly string[],
): Promise<ReadonlyMap<string, readonly Spec[]>> {
  const near = new Map<string, Spec[]>();
  for (const file of specs) {
    const folder = mkdtempSync(join(tmpdir(), 'drip-line-near-'));
    const began = performance.now();
    if (!(await passes(root, [file], { NODE_V8_COVERAGE: folder })))
      throw new Error(`${file} fails as it is`);
    const spec = { file, seconds: (performance.now() - began) / 1000 };
    for (const source of ran(folder)) near.set(source, [...(near.get(source) ?? []), spec]);
    rmSync(folder, { recursive: true });
  }
  return new Map([...near].map(([source, list]) => [source, list.toSorted((a, b) => a.seconds - b.seconds)]));
}
