import type { When } from './when.ts';

/** How long it is between two moments, ms; `atLeast`: a wall clock was set back meanwhile. */
export interface Elapsed {
  readonly ms: number;
  readonly atLeast: boolean;
}

const NOTHING: Elapsed = { ms: 0, atLeast: false };

const sameClock = (a: When, b: When): boolean =>
  a.running !== undefined && a.running.clock === b.running?.clock;

/** Between two moments that stand side by side: by the clock that both know, else by the wall. */
function between(a: When, b: When): Elapsed {
  if (a.running && b.running && sameClock(a, b))
    return { ms: Math.max(0, b.running.ms - a.running.ms), atLeast: false };
  const ms = b.utcMs - a.utcMs;
  return { ms: Math.max(0, ms), atLeast: ms < 0 };
}

/**
 * How long it is from the first of these moments to the last, which stand in their order. As far as one
 * running clock goes it is asked alone; from the last that it showed to the first that the next one did, the
 * wall clock is. So a wall clock that was set back, or forward, while a page was there takes and gives
 * nothing, and what a page was closed for counts once.
 */
export function elapsed(moments: readonly When[]): Elapsed {
  let whole = NOTHING;
  let [here, ...rest] = moments;
  while (here) {
    const from = here;
    const next = Math.max(
      0,
      rest.findLastIndex((m) => sameClock(from, m)),
    );
    here = rest[next];
    rest = rest.slice(next + 1);
    if (!here) break;
    const part = between(from, here);
    whole = { ms: whole.ms + part.ms, atLeast: whole.atLeast || part.atLeast };
  }
  return whole;
}
