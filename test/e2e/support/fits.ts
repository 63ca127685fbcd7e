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
  'sheet/acts',
  'sheet/card',
  'sheet/jugs',
  'cut',
];

/**
 * How much wider than its window, its panel or its fields anything on the page is, px; and what of it can be
 * pressed or typed in, but lies under something else when it is scrolled to.
 */
export const overflow = (page: Page): Promise<Readonly<Record<string, number | string[]>>> =>
  page.evaluate(() => {
    const main = document.querySelector('main');
    const root = document.documentElement;
    // nothing in here has a name: what is built for Node would call its own helper for each
    const covered = [
      ...document.querySelectorAll<HTMLElement>(
        'button, input:not([type=hidden], .sr-only), select, textarea, summary, a[href]:not(.sr-only)',
      ),
    ]
      .filter((it) => it.checkVisibility() && getComputedStyle(it).pointerEvents !== 'none')
      .filter((it) => {
        if (main?.contains(it)) it.scrollIntoView({ block: 'center' });
        const box = it.getBoundingClientRect();
        const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
        const over = document.elementFromPoint(x, y);
        if (over === null || it.contains(over) || over.contains(it)) return false;
        // what of its middle is cut off by something that scrolls is not seen, and not covered
        for (let p = it.parentElement; p; p = p.parentElement) {
          const { overflowX, overflowY } = getComputedStyle(p);
          if (overflowX === 'visible' && overflowY === 'visible') continue;
          const seen = p.getBoundingClientRect();
          if (x < seen.left || x > seen.right || y < seen.top || y > seen.bottom) return false;
        }
        return true;
      })
      .map((it) => it.getAttribute('aria-label') ?? it.innerText);
    main?.scrollTo(0, 0);
    return {
      covered,
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

export const FITS = { page: 0, below: 0, main: 0, covered: [], clipped: [] };

/** Open whatever is folded in the panel. */
export const unfoldAll = (page: Page): Promise<void> =>
  page.evaluate(() => {
    for (const fold of document.querySelectorAll<HTMLDetailsElement>('main details')) fold.open = true;
  });
