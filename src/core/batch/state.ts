import type { ActId } from '../day/act.ts';
import type { VesselKey } from '../day/vessel.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Celsius, Grams, Minutes } from '../units/quantity.ts';
import type { Batch } from './batchSchema.ts';
import { inOrder } from './book.ts';
import { isKnown, type Added, type KnownEvent } from './eventSchema.ts';
import type { When } from './when.ts';

/** Laid out; with a reason: passed over. */
export interface Ready {
  readonly at: When;
  readonly skipped?: string;
}

/** What an act, or one line of it, was weighed at. */
export interface WeighedAt {
  readonly massG: Grams;
  readonly device: string;
}

/** All that an act moved, and its lines by their names, where they were weighed by themselves. */
export interface Weighed {
  readonly whole?: WeighedAt;
  readonly lines: ReadonlyMap<string, WeighedAt>;
}

/** Of two devices that weighed one thing otherwise, what does not stand. */
export interface Contradicted extends WeighedAt {
  readonly act: ActId;
  readonly line?: string;
}

/** What a thermometer showed. */
export interface Measured {
  readonly celsius: Celsius;
  readonly at: When;
}

/** A timer that runs; without minutes it only counts. */
export interface Timer {
  readonly at: When;
  readonly minutes: Minutes | undefined;
}

/** How it ended. */
export type Ending =
  | { readonly how: 'finished'; readonly left: ReadonlyMap<VesselKey, Grams>; readonly at: When }
  | { readonly how: 'thrown-away'; readonly reason: string; readonly at: When };

/** How a batch stands after everything that was written of it. */
export interface BatchState {
  /** the plan as it goes on */
  readonly plan: Plan;
  /** what was laid out or passed over, by its name */
  readonly ready: ReadonlyMap<string, Ready>;
  /** acts that are begun: what is asked before them was looked at */
  readonly begun: ReadonlySet<ActId>;
  /** acts that are done, in the order in which they were */
  readonly done: ReadonlyMap<ActId, When>;
  /** what acts moved */
  readonly weighed: ReadonlyMap<ActId, Weighed>;
  /** all that was stirred in for an act, by colorant */
  readonly added: ReadonlyMap<ActId, Added>;
  /** weighed otherwise by another device: the later one stands, this is shown */
  readonly contradicted: readonly Contradicted[];
  /** when the batter was divided: minute 0 */
  readonly zero: When | undefined;
  /** what a thermometer showed in a vessel, the last of it last */
  readonly temperatures: ReadonlyMap<VesselKey, readonly Measured[]>;
  readonly readings: readonly Extract<KnownEvent, { does: 'stage' }>[];
  /** timers that run, since when, and how long each is to */
  readonly timers: ReadonlyMap<string, Timer>;
  readonly ending: Ending | undefined;
  /** written by a newer version: kept, and nothing is made of them */
  readonly unknown: number;
}

/** The state while it is folded. */
interface Folding {
  plan: Plan;
  readonly ready: Map<string, Ready>;
  readonly begun: Set<ActId>;
  readonly done: Map<ActId, When>;
  readonly weighed: Map<ActId, Weighed>;
  readonly added: Map<ActId, Added>;
  readonly contradicted: Contradicted[];
  zero: When | undefined;
  /** the act that minute 0 came with: taken back, it takes that with it */
  zeroOf: ActId | undefined;
  readonly temperatures: Map<VesselKey, readonly Measured[]>;
  readonly readings: Extract<KnownEvent, { does: 'stage' }>[];
  readonly timers: Map<string, Timer>;
  ending: Ending | undefined;
  unknown: number;
}

const NOT_WEIGHED: Weighed = { lines: new Map() };

function weigh(s: Folding, { act, line, massG, device }: Extract<KnownEvent, { does: 'weighed' }>): void {
  const own = s.weighed.get(act) ?? NOT_WEIGHED;
  const before = line === undefined ? own.whole : own.lines.get(line);
  if (before && before.device !== device && before.massG !== massG)
    s.contradicted.push({ act, ...(line === undefined ? {} : { line }), ...before });
  const now = { massG, device };
  s.weighed.set(
    act,
    line === undefined ? { ...own, whole: now } : { ...own, lines: new Map([...own.lines, [line, now]]) },
  );
}

/** One event more. */
function fold(s: Folding, event: KnownEvent): void {
  const { at } = event;
  switch (event.does) {
    case 'ready':
      s.ready.set(event.what, event.skipped === undefined ? { at } : { at, skipped: event.skipped });
      return;
    case 'begun':
      s.begun.add(event.act);
      return;
    case 'done':
      if (!s.done.has(event.act)) s.done.set(event.act, at);
      return;
    case 'undone':
      s.done.delete(event.act);
      s.begun.delete(event.act);
      if (s.zeroOf === event.act) s.zero = s.zeroOf = undefined;
      return;
    case 'divided':
      // the first counts: what is poured has stood since then
      s.zero ??= at;
      s.zeroOf ??= [...s.done.keys()].at(-1);
      return;
    case 'weighed':
      weigh(s, event);
      return;
    case 'as-planned':
      s[event.what].delete(event.act);
      return;
    case 'added':
      s.added.set(event.act, event.added);
      return;
    case 'temperature':
      s.temperatures.set(event.vessel, [
        ...(s.temperatures.get(event.vessel) ?? []),
        { celsius: event.celsius, at },
      ]);
      return;
    case 'stage':
      s.readings.push(event);
      return;
    case 'timer':
      if (event.is === 'started') s.timers.set(event.name, { at, minutes: event.minutes });
      else s.timers.delete(event.name);
      return;
    case 'amended':
      s.plan = event.plan;
      return;
    case 'finished':
      s.ending = { how: 'finished', left: new Map(event.left.map((l) => [l.vessel, l.massG])), at };
      return;
    case 'thrown-away':
      s.ending = { how: 'thrown-away', reason: event.reason, at };
      return;
    default:
  }
}

/**
 * A batch as it stands: its events, in the order that they have whatever order they came in, folded one after
 * another. No wall clock is asked: one that is set back moves nothing.
 */
export function stateOf(batch: Batch): BatchState {
  const s: Folding = {
    plan: batch.plan,
    ready: new Map(),
    begun: new Set(),
    done: new Map(),
    weighed: new Map(),
    added: new Map(),
    contradicted: [],
    zero: undefined,
    zeroOf: undefined,
    temperatures: new Map(),
    readings: [],
    timers: new Map(),
    ending: undefined,
    unknown: 0,
  };
  for (const event of inOrder(batch))
    if (isKnown(event)) fold(s, event);
    else s.unknown += 1;
  const { zeroOf: _of, ...state } = s;
  return state;
}
