import { existsSync } from 'node:fs';
import { chromium, type Browser } from 'playwright-core';

const PLACES = [process.env['CHROMIUM'], '/usr/bin/chromium', '/usr/bin/chromium-browser'];

export const chromiumPath = (): string => {
  const found = PLACES.find((p) => p !== undefined && existsSync(p));
  if (found === undefined) throw new Error('Chromium is not installed: apt-get install chromium');
  return found;
};

/** Debian's Chromium without a monitor and without a word to the outside. */
export const launch = (): Promise<Browser> =>
  chromium.launch({
    executablePath: chromiumPath(),
    args: [
      '--no-sandbox',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
      '--disable-quic',
    ],
  });
