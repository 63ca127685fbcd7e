// npm test: install what is missing, then lint, format, types, unused code, unit and reference tests, the
// build and the browser tests. Ends with one line of counts.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn, spawnSync } from 'node:child_process';
import { buildPage, installPackages, run } from './prepare.mjs';

if (!installPackages()) process.exit(1);

/** Chromium from Debian's packages when it is absent and this user may install it. */
function installChromium() {
  const names = ['chromium-headless-shell', 'chromium', 'chromium-browser'];
  if (process.env.CHROMIUM || names.some((n) => existsSync(`/usr/bin/${n}`))) return true;
  const root = process.getuid?.() === 0;
  if (root && spawnSync('apt-get', ['--version']).status === 0) {
    process.stdout.write('Installing Chromium from the Debian packages...\n');
    const quiet = ['-qq', '-y', '--no-install-recommends'];
    // without a window it takes two thirds of the time; an older Debian has only the one with
    if (run('apt-get', ['update', '-qq']))
      for (const name of names.slice(0, 2)) if (run('apt-get', ['install', ...quiet, name])) return true;
  }
  process.stderr.write(
    'The browser tests need Chromium. Install it with "apt-get install chromium-headless-shell", or set CHROMIUM to its path.\n',
  );
  return false;
}

/** Room for what is young: a quarter of the time of lint and of the unit tests went into collecting it. */
const ROOMY = {
  NODE_OPTIONS: [process.env.NODE_OPTIONS, '--max-semi-space-size=128'].filter(Boolean).join(' '),
};
const counts = join(mkdtempSync(join(tmpdir(), 'drip-line-')), 'counts');
/** What only reads the files: all at once. */
const reading = [
  ['lint', 'npx', ['eslint', '.', '--max-warnings=0']],
  ['format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
  ['types', 'npm', ['run', '-s', 'types']],
  ['unused code', 'npx', ['knip']],
];
const failed = [];
process.stdout.write(`\n== ${reading.map(([name]) => name).join(', ')}, build\n`);
const read = reading.map(
  ([name, command, args]) =>
    new Promise((done) => {
      spawn(command, args, { stdio: 'inherit', env: { ...process.env, ...ROOMY } }).on('close', (code) => {
        if (code !== 0) failed.push(name);
        done();
      });
    }),
);
// the browser is fetched and the page built while that is read
const chromium = installChromium();
if (!buildPage()) failed.push('build');
await Promise.all(read);
const steps = [
  ['unit and reference tests', () => run('npx', ['mocha'], { COUNTS: counts, ...ROOMY })],
  [
    'browser tests',
    () => chromium && run('npx', ['mocha', '--config', '.mocharc.e2e.json'], { COUNTS: counts }),
  ],
];
for (const [name, step] of steps) {
  process.stdout.write(`\n== ${name}\n`);
  if (!step()) failed.push(name);
}

const lines = existsSync(counts) ? readFileSync(counts, 'utf8').trim().split('\n') : [];
const sum = (i) => lines.reduce((total, line) => total + Number(line.split(' ')[i]), 0);
if (failed.length > 0) process.stdout.write(`\nFailed: ${failed.join(', ')}\n`);
process.stdout.write(`\n${sum(0)} passed, ${sum(1)} failed\n`);
process.exit(failed.length > 0 ? 1 : 0);
