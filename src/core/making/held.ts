import type { BatchState, Weighed } from '../batch/state.ts';
import type { Computed } from '../computed/compute.ts';
import type { Vessel, VesselKey } from '../day/vessel.ts';
import { transfersOf } from '../ledger/ledger.ts';
import type { Act } from '../procedure/act.ts';
import type { Grams } from '../units/quantity.ts';

/** Something that went out of one vessel into another. */
interface Went {
  readonly from: Vessel;
  readonly to: Vessel;
  readonly massG: Grams;
}

/** What a line of an act is known by in a batch: its place among them, from 1. */
export const lineKey = (index: number): string => String(index + 1);

/**
 * What really went in an act: each line as it was weighed by itself; else its part of what the whole act was
 * weighed at; else as planned. What nobody weighs, batter that a scraper leaves lying, is what is left.
 */
function wentIn(computed: Computed, { id, lines }: Act, weighed: Weighed | undefined): readonly Went[] {
  const planned = lines.map((line) => line.massG * line.times);
  const all = planned.reduce((sum, g) => sum + g, 0);
  const part = weighed?.whole && all > 0 ? weighed.whole.massG / all : 1;
  const went = lines.map(({ from, to }, i) => ({
    from,
    to,
    massG: weighed?.lines.get(lineKey(i))?.massG ?? (planned[i] ?? 0) * part,
  }));
  const { weights } = computed;
  const book = weights ? transfersOf(weights.ledger, id) : [];
  const rest = book.filter(
    ({ from, to }) => !lines.some((l) => l.from.key === from.key && l.to.key === to.key),
  );
  const moreOf = ({ key }: Vessel): Grams =>
    went.reduce((sum, w, i) => (w.from.key === key ? sum + w.massG - (planned[i] ?? 0) : sum), 0);
  return [...went, ...rest.map((w) => ({ ...w, massG: w.massG - moreOf(w.from) }))];
}

/** What every vessel holds once the acts that are done are done, g, in whatever order that was. */
export function heldNow(
  computed: Computed,
  acts: readonly Act[],
  { done, weighed }: Pick<BatchState, 'done' | 'weighed'>,
): ReadonlyMap<VesselKey, Grams> {
  const held = new Map<VesselKey, Grams>();
  const add = ({ kind, key }: Vessel, massG: Grams): void => {
    if (kind !== 'supply') held.set(key, (held.get(key) ?? 0) + massG);
  };
  for (const act of acts) {
    if (!done.has(act.id)) continue;
    for (const { from, to, massG } of wentIn(computed, act, weighed.get(act.id))) {
      add(from, 0 - massG);
      add(to, massG);
    }
  }
  return held;
}
