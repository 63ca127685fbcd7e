import { restUntil, stiffening } from '../setting/rest.ts';
import type { Minutes, Stage } from '../units/quantity.ts';
import type { Cup, Quickens } from './course.ts';
import { BACK_AFTER_MIN, LAGS, LOOSENED } from './estimates.ts';

/** Batter that thickens in a straight line from a moment on; loosened, it is thinner for a while. */
export interface ThickeningBatter {
  /** where its line is at `since`; below `seen`, nothing is seen of it yet */
  stage: Stage;
  since: Minutes;
  perMinute: number;
  /** it is no thinner than this: near emulsion batter stays as it is for some minutes */
  seen: Stage;
  /** stirred loose at this minute; long ago where it was not */
  loosened: Minutes;
  /** it lies still from this minute on; never, in a jug */
  rested: Minutes;
}

export const batter = (): ThickeningBatter => ({
  stage: 0,
  since: 0,
  perMinute: 0,
  seen: -Infinity,
  loosened: -Infinity,
  rested: Infinity,
});

/**
 * So many stages of its line pass before anything is seen of batter that begins near emulsion; none from
 * light on.
 */
export const lagOf = (start: Stage): Stage => LAGS * Math.min(1, Math.max(0, 1 - start));

/** Batter is there, at a stage. */
export function beginAt(b: ThickeningBatter, start: Stage, at: Minutes): void {
  b.stage = start - lagOf(start);
  b.seen = start;
  b.since = at;
  b.loosened = -Infinity;
  b.rested = Infinity;
}

export const copy = (from: ThickeningBatter, to: ThickeningBatter): void => {
  to.stage = from.stage;
  to.since = from.since;
  to.perMinute = from.perMinute;
  to.seen = from.seen;
  to.loosened = from.loosened;
  to.rested = from.rested;
};

/** How many times as fast something makes batter. */
export const quicker = ({ factor, doubt, share }: Quickens, doubts: ArrayLike<number> | undefined): number =>
  factor * Math.exp((doubts?.[doubt] ?? 0) * (share ?? 1));

/** By how much batter is thicker out of a cup than it would be out of its jug. */
export function inCup(
  cup: Cup | undefined,
  { perMinute }: ThickeningBatter,
  pace: number,
  doubts: ArrayLike<number> | undefined,
): Stage {
  if (!cup) return 0;
  let times = 1;
  for (const q of cup.quickens) times *= quicker(q, doubts);
  return cup.adds + cup.minutes * pace * perMinute * (times - 1);
}

/** By how much it is thinner for having been stirred loose. */
export const looseness = (b: ThickeningBatter, at: Minutes): Stage => {
  const since = at - b.loosened;
  return since < BACK_AFTER_MIN && since >= 0 ? LOOSENED * (1 - since / BACK_AFTER_MIN) : 0;
};

/** Its stage at a minute, as it flows: what was stirred loose counted. */
export const stageAt = (b: ThickeningBatter, at: Minutes): Stage =>
  Math.max(b.seen, b.stage + b.perMinute * (at - b.since)) - looseness(b, at);

/** The minute from which on it is seen to thicken. */
const seenFrom = (b: ThickeningBatter): Minutes => b.since + (b.seen - b.stage) / b.perMinute;

/** How fast its stage grows from a minute on, and until when. */
const slopeFrom = (b: ThickeningBatter, at: Minutes): number =>
  (at >= seenFrom(b) - 1e-12 ? b.perMinute : 0) +
  (at < b.loosened + BACK_AFTER_MIN && at >= b.loosened ? LOOSENED / BACK_AFTER_MIN : 0);

function turnAfter(b: ThickeningBatter, at: Minutes): Minutes {
  const [seen, back] = [seenFrom(b), b.loosened + BACK_AFTER_MIN];
  let turn = Infinity;
  if (seen > at + 1e-12) turn = seen;
  if (back > at + 1e-12 && back < turn) turn = back;
  return turn;
}

/** The minute from which on it flows as this stage; before its own beginning where it was never thinner. */
export function reaches(b: ThickeningBatter, stage: Stage): Minutes {
  let at = b.since;
  let now = stageAt(b, at);
  if (stage <= now) return at + (stage - now) / Math.max(b.perMinute, slopeFrom(b, at));
  for (;;) {
    const until = turnAfter(b, at);
    const soon = at + (stage - now) / slopeFrom(b, at);
    if (soon <= until) return soon;
    at = until;
    now = stageAt(b, at);
  }
}

export const advance = (b: ThickeningBatter, to: Minutes): void => {
  b.stage += b.perMinute * (to - b.since);
  b.since = to;
};

/** As what stage it bears at a minute: it has stiffened since it lies still. */
export const bearsAs = (b: ThickeningBatter, at: Minutes, tcMin: Minutes): Stage =>
  stageAt(b, at) + stiffening(at - b.rested, tcMin);

/** The minute from which on it bears as such a stage. */
export function bearsFrom(b: ThickeningBatter, stage: Stage, tcMin: Minutes): Minutes {
  const { rested } = b;
  if (tcMin === Infinity || rested === Infinity || stageAt(b, rested) >= stage) return reaches(b, stage);
  let at = rested;
  for (;;) {
    const until = turnAfter(b, at);
    const slope = slopeFrom(b, at);
    // its line, as it would have been when it was laid to rest
    const from = stageAt(b, at) - slope * (at - rested);
    const soon = rested + restUntil(stage - from, slope, tcMin);
    if (soon <= until) return soon;
    at = until;
  }
}
