import type { Day } from './act.ts';

/**
 * Where in a day the clock starts, at minute 0: a batch is there and is shared out, or the first portion gets
 * its lye. By its place in the list; past its end where neither happens.
 */
export function clockStart(day: Day): number {
  const ahead = day.some((a) => a.does === 'make-portion');
  const at = day.findIndex((a) =>
    ahead ? a.does === 'combine' : a.does === 'make-stock' || a.does === 'weigh-out',
  );
  return at < 0 ? day.length : at;
}
