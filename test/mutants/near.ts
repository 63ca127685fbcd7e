import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/**
 * A file of tests, what it imports, how long it takes, and how often it calls each function of the core, by
 * file and name; '' are all of a file.
 */
export interface Spec {
  readonly file: string;
  readonly imports: ReadonlySet<string>;
  readonly seconds: number;
  readonly calls: ReadonlyMap<string, number>;
  readonly allCalls: number;
}

interface Covered {
  readonly url: string;
  readonly functions: readonly {
    readonly functionName: string;
    readonly ranges: readonly { readonly count: number }[];
  }[];
}

const MOCHA = [
  'node_modules/mocha/bin/mocha.js',
  '--no-config',
  '--node-option',
  'import=tsx',
  '--require',
  'fake-indexeddb/auto',
  '--bail',
];

/**
 * Run a file of tests in a folder that holds the project: true where all passed. A run that goes on for too
 * long has failed.
 */
export const passes = (
  root: string,
  spec: string,
  env: Readonly<Record<string, string>> = {},
  mostS = 600,
): Promise<boolean> =>
  new Promise((done) => {
    const child = spawn(process.execPath, [...MOCHA, '--timeout', '120000', spec], {
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

const keyOf = (file: string, name: string): string => `${file} ${name}`;

/** How often what was run. */
function callsIn(folder: string): ReadonlyMap<string, number> {
  const calls = new Map<string, number>();
  const add = (key: string, count: number): void => {
    calls.set(key, (calls.get(key) ?? 0) + count);
  };
  for (const file of readdirSync(folder)) {
    const { result } = JSON.parse(readFileSync(join(folder, file), 'utf8')) as { result: readonly Covered[] };
    for (const { url, functions } of result) {
      const [, path] = /(src\/core\/.+\.ts)$/.exec(url) ?? [];
      if (path === undefined) continue;
      // what runs when a file is loaded has no name
      for (const { functionName, ranges } of functions) {
        const count = ranges[0]?.count ?? 0;
        if (functionName === '' || count === 0) continue;
        add(keyOf(path, functionName), count);
        add(keyOf(path, ''), count);
      }
    }
  }
  return calls;
}

/** Run a file of tests once, and see what it calls. */
export async function look(root: string, file: string): Promise<Spec> {
  const folder = mkdtempSync(join(tmpdir(), 'drip-line-near-'));
  const began = performance.now();
  if (!(await passes(root, file, { NODE_V8_COVERAGE: folder }))) throw new Error(`${file} fails as it is`);
  const seconds = (performance.now() - began) / 1000;
  const calls = callsIn(folder);
  rmSync(folder, { recursive: true });
  const allCalls = [...calls].reduce((s, [key, count]) => s + (key.endsWith(' ') ? count : 0), 0);
  const imports = new Set(
    [...readFileSync(join(root, file), 'utf8').matchAll(/from '(?:\.\.\/)+(src\/.+)'/g)].map(
      (m) => m[1] ?? '',
    ),
  );
  return { file, imports, seconds, calls, allCalls };
}

/**
 * The files of tests that call the function a fault stands in, those first that have most to do with it:
 * which import its file, and to which its calls are a large part of all, and which are quick. So many that
 * they come to `mostS` seconds, three of them at least, and all that import it.
 */
export function nearest(
  specs: readonly Spec[],
  at: { readonly file: string; readonly inside: string },
  mostS: number,
): readonly string[] {
  const callsOf = (s: Spec, name: string): number => s.calls.get(keyOf(at.file, name)) ?? 0;
  // an inner function may be called otherwise by the engine: then the file is what is asked for
  const name = specs.some((s) => callsOf(s, at.inside) > 0) ? at.inside : '';
  let seconds = 0;
  return specs
    .filter((s) => callsOf(s, name) > 0)
    .toSorted(
      (a, b) => Number(b.imports.has(at.file)) - Number(a.imports.has(at.file)) || worth(b) - worth(a),
    )
    .filter((s, i) => {
      seconds += s.seconds;
      return i < 3 || seconds <= mostS || s.imports.has(at.file);
    })
    .map((s) => s.file);

  function worth(s: Spec): number {
    return callsOf(s, name) / s.allCalls / (5 + s.seconds);
  }
}
