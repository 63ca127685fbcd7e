import { existsSync, statfsSync } from 'node:fs';
import { chromium, type Browser } from 'playwright-core';

/** The one without a window is the same browser, and takes two thirds of the time. */
const PLACES = [
  process.env['CHROMIUM'],
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
];

export const chromiumPath = (): string => {
  const found = PLACES.find((p) => p !== undefined && existsSync(p));
  if (found === undefined)
    throw new Error('Chromium is not installed: apt-get install chromium-headless-shell');
  return found;
};

/**
 * Profiles are written often and thrown away at once: in memory where there is room, so that the disk does
 * not set the pace.
 */
const IN_MEMORY = '/dev/shm';
const ROOM_BYTES = 2e9;
if (existsSync(IN_MEMORY)) {
  const { bavail, bsize } = statfsSync(IN_MEMORY);
  if (bavail * bsize > ROOM_BYTES) process.env['TMPDIR'] = IN_MEMORY;
}

/** Without a word to the outside. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
] as const;

/** Debian's Chromium without a monitor. */
export const launch = (): Promise<Browser> =>
  chromium.launch({ executablePath: chromiumPath(), args: [...CHROMIUM_ARGS] });
