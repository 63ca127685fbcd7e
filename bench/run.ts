import { benchBrowser } from './browser.ts';
import { benchClock } from './clock.ts';
import { benchColour } from './colour.ts';
import { benchCore } from './core.ts';
import { benchDay } from './day.ts';
import { benchPatterns } from './patterns.ts';
import { benchSize } from './size.ts';
import { benchTilts } from './tilts.ts';

/** Prints ratios and sizes; nothing here passes or fails. Build the page first (`npm run build`). */
const say = (name: string, value: string): void => {
  process.stdout.write(`${name.padEnd(64)} ${value}\n`);
};

benchCore(say);
benchColour(say);
benchPatterns(say);
benchClock(say);
await benchTilts(say);
benchSize(say);
await benchBrowser(say);
await benchDay(say);
