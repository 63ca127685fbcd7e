import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import type { Say } from './measure.ts';

const kB = (bytes: number): string => `${(bytes / 1000).toFixed(1)} kB`;

/** JavaScript that the first view loads: what index.html names, and what that imports at once. */
export function benchSize(say: Say): void {
  const dir = 'dist/assets';
  const html = readFileSync('dist/index.html', 'utf8');
  const wanted = [...html.matchAll(/assets\/([\w.-]+\.js)/g)].map((m) => m[1] ?? '');
  const seen = new Set<string>();
  while (wanted.length > 0) {
    const file = wanted.pop() ?? '';
    if (seen.has(file)) continue;
    seen.add(file);
    const text = readFileSync(`${dir}/${file}`, 'utf8');
    wanted.push(...[...text.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)].map((m) => m[1] ?? ''));
  }
  const size = (files: readonly string[]): number =>
    files.reduce((s, f) => s + gzipSync(readFileSync(`${dir}/${f}`)).length, 0);
  say('first-load JavaScript, gzipped (aim: under 180 kB)', kB(size([...seen])));
  const sent = [...seen].reduce((s, f) => s + readFileSync(`${dir}/${f}.br`).length, 0);
  say('the same as the server sends it (brotli)', kB(sent));
  say('all JavaScript, gzipped', kB(size(readdirSync(dir).filter((f) => f.endsWith('.js')))));
}
