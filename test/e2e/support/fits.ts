import type { Page } from 'playwright-core';

/** Every page of every station. */
export const STATIONS = [
  'mould',
  'design',
  'batter',
  'colour/pots',
  'colour/ombre',
  'colour/mixing',
  'clock/timetable',
  'clock/ways',
  'clock/conditions',
  'clock/teach',
  'clock/stages',
  'clock/after',
  'pour-day/sheet',
  'pour-day/card',
  'pour-day/jugs',
  'cut',
];

/** How much wider than its window, its panel or its fields anything on the page is, px. */
export const overflow = (page: Page): Promise<Readonly<Record<string, number | string[]>>> =>
  page.evaluate(() => {
    const main = document.querySelector('main');
    const root = document.documentElement;
    return {
      page: root.scrollWidth - innerWidth,
      // nothing below the fold either: the wheel must not push the page off the screen
      below: root.scrollHeight - innerHeight,
      main: main ? main.scrollWidth - main.clientWidth : 0,
      // figures cut off in their fields
      clipped: [...document.querySelectorAll<HTMLInputElement>('input.field.text-right')]
        .filter((field) => field.offsetWidth > 0 && field.scrollWidth > field.clientWidth + 1)
        .map((field) => field.value),
    };
  });

export const FITS = { page: 0, below: 0, main: 0, clipped: [] };

/** Open whatever is folded in the panel. */
export const unfoldAll = (page: Page): Promise<void> =>
  page.evaluate(() => {
    for (const fold of document.querySelectorAll<HTMLDetailsElement>('main details')) fold.open = true;
  });
