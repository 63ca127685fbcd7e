import * as v from 'valibot';
import { whenSchema, type When } from '../core/batch/when.ts';

/** Moments at which a page that runs a batch was there, since the last thing that was written of it. */
const beats = v.object({ after: v.string(), moments: v.array(whenSchema) });

/** No more pages than this come one after another between two things that are written. */
const MOST = 60;

const nameOf = (batchId: string): string => `drip-line-pulse-${batchId}`;

function read(batchId: string): v.InferOutput<typeof beats> | undefined {
  try {
    const parsed = v.safeParse(beats, JSON.parse(localStorage.getItem(nameOf(batchId)) ?? ''));
    return parsed.success ? parsed.output : undefined;
  } catch {
    return undefined;
  }
}

/**
 * When pages were there since an event of a batch: a wall clock that was set back meanwhile takes nothing
 * from what their running clocks have counted.
 */
export function beatsSince(batchId: string, after: string): readonly When[] {
  const found = read(batchId);
  return found?.after === after ? found.moments : [];
}

/** This page is there now. Of each page the first and the last moment are kept. */
export function beat(batchId: string, after: string, at: When): void {
  const before = beatsSince(batchId, after);
  const own = before.filter((m) => m.running?.clock === at.running?.clock);
  const last = own.length > 1 ? own.at(-1) : undefined;
  const moments = [...before.filter((m) => m !== last), at].slice(-MOST);
  try {
    localStorage.setItem(nameOf(batchId), JSON.stringify({ after, moments }));
  } catch {
    // without it the wall clock alone tells how long the page was closed
  }
}

/** What is over has no pulse. */
export function pulseEnded(batchId: string): void {
  try {
    localStorage.removeItem(nameOf(batchId));
  } catch {
    // nothing to remove
  }
}
