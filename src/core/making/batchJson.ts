import type { Batch } from '../batch/batchSchema.ts';
import { inOrder } from '../batch/book.ts';
import { elapsed } from '../batch/elapsed.ts';
import { happenedIn } from '../batch/happened.ts';
import { stateOf, type BatchState } from '../batch/state.ts';
import type { When } from '../batch/when.ts';
import { computePlan } from '../computed/compute.ts';
import { procedureOf } from '../procedure/procedureOf.ts';
import { wordsOf } from '../procedure/words/wordsOf.ts';
import { clean } from '../weigh/ingredients.ts';
import { heldNow } from './held.ts';
import { nextOf, toCarryOut } from './order.ts';

const iso = (at: When): string => new Date(at.utcMs).toISOString();

const MS_PER_MIN = 60_000;

/** How it ended; null while it goes on. */
function endingJson({ ending }: BatchState): object | null {
  if (!ending) return null;
  const { how, at } = ending;
  return how === 'finished'
    ? { how, at: iso(at), left_g: Object.fromEntries(ending.left) }
    : { how, at: iso(at), reason: ending.reason };
}

/** How a batch stands, as plain JSON: masses in g, times in UTC, minutes since the batter was divided. */
export function batchJson(batch: Batch): object {
  const state = stateOf(batch);
  const computed = computePlan(state.plan, happenedIn(batch, state.plan));
  const acts = procedureOf(computed);
  const next = nextOf(acts, state);
  const moments = inOrder(batch).map((e) => e.at);
  const { zero } = state;
  const since = zero && elapsed(moments.slice(moments.indexOf(zero)));
  return {
    format: 'drip-line/batch-state',
    version: 1,
    batch: { id: batch.id, name: batch.name, started: iso(batch.started) },
    plan: { id: state.plan.id, name: state.plan.name },
    ready: [...state.ready].map(([what, { skipped }]) => ({ what, skipped: skipped ?? null })),
    acts: toCarryOut(acts).length,
    done: [...state.done].map(([act, at]) => ({ act, at: iso(at) })),
    next: next ? { act: next.id, text: wordsOf(next, state.plan).text } : null,
    divided: zero ? iso(zero) : null,
    // by the running clocks, up to the last event
    minutes: since ? since.ms / MS_PER_MIN : null,
    minutes_at_least: since?.atLeast ?? false,
    weighed: [...state.weighed].map(([act, { whole, lines }]) => ({
      act,
      mass_g: whole?.massG ?? null,
      lines: [...lines].map(([line, { massG }]) => ({ line, mass_g: massG })),
    })),
    contradicted: state.contradicted.map(({ act, line, massG, device }) => ({
      act,
      line: line ?? null,
      mass_g: massG,
      device,
    })),
    holds_g: Object.fromEntries(
      [...heldNow(computed, acts, state)].map(([vessel, massG]) => [vessel, clean(massG)]),
    ),
    temperatures: [...state.temperatures].flatMap(([vessel, all]) =>
      all.map((t) => ({ vessel, celsius: t.celsius, at: iso(t.at) })),
    ),
    readings: state.readings.map((r) => ({
      of: r.of.is === 'jug' ? { jug: r.of.pot } : { layer: r.of.act },
      stage: r.stage,
      at: iso(r.at),
    })),
    timers: [...state.timers].map(([name, t]) => ({
      name,
      since: iso(t.at),
      minutes: t.minutes ?? null,
    })),
    ending: endingJson(state),
    unknown_events: state.unknown,
  };
}
