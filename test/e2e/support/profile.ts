import { execFileSync } from 'node:child_process';
import { chromium, type BrowserContext } from 'playwright-core';
import { CHROMIUM_ARGS, chromiumPath } from './browser.ts';

/** A browser of its own on a profile that stays when it is gone. */
export const openProfile = (profile: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    executablePath: chromiumPath(),
    args: [...CHROMIUM_ARGS],
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });

/** All processes of the browser of this profile, at once and without a word: as when the power goes. */
export function kill(profile: string): void {
  try {
    execFileSync('pkill', ['-9', '-f', profile]);
  } catch {
    // it was gone already
  }
}
