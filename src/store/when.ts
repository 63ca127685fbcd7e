import type { When } from '../core/batch/when.ts';
import { PAGE_ID } from './page.ts';

/** This moment, by the wall clock and by this page's running clock. */
export const now = (): When => ({
  utcMs: Date.now(),
  zoneMin: -new Date().getTimezoneOffset() || 0,
  running: { clock: PAGE_ID, ms: performance.now() },
});
