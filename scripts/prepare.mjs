import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';

/** Runs a command with its output shown; true when it ended well. */
export const run = (command, args, env = {}) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;

const STAMP = 'node_modules/.drip-line-lock';
const lockHash = () => createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');

/** Installed for this lock file: by us (the stamp says so), or by hand since the lock file last changed. */
function installed() {
  if (existsSync(STAMP)) return readFileSync(STAMP, 'utf8') === lockHash();
  const record = 'node_modules/.package-lock.json';
  return existsSync(record) && statSync(record).mtimeMs >= statSync('package-lock.json').mtimeMs;
}

/** Installs the packages of the lock file when they are missing or of an older lock file. */
export function installPackages() {
  if (installed()) return true;
  process.stdout.write('Installing packages...\n');
  if (!run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'])) {
    process.stderr.write('npm ci failed: see above.\n');
    return false;
  }
  writeFileSync(STAMP, lockHash());
  return true;
}

const newest = (path) => {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return readdirSync(path).reduce((most, name) => Math.max(most, newest(join(path, name))), 0);
};

/** Builds the page when it is missing or older than what it is made from. */
export function buildPage() {
  const sources = ['src', 'public', 'index.html', 'vite.config.ts', 'package-lock.json'];
  const built = existsSync('dist/index.html') ? statSync('dist/index.html').mtimeMs : 0;
  if (built > Math.max(...sources.map(newest))) return true;
  process.stdout.write('Building the page...\n');
  return run('npx', ['vite', 'build', '--logLevel', 'warn']);
}
