import type { Pour } from '../plan/stepSchema.ts';
import { potsOf, roundOf } from '../plan/sources.ts';
import { isOneJug } from '../ways/ways.ts';
import type { PotId } from '../validate/ids.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';
import { clean } from './ingredients.ts';

/** One pot's turn in a round. */
export interface Turn {
  readonly pot: PotId;
  readonly massG: Grams;
  /** of this pot, of all that the pour takes of it, once this turn is poured */
  readonly pouredG: Grams;
}

export type Round = readonly Turn[];

/** The pots of a round, in the order of their turns: into one jug each goes once, with all of its parts. */
export const turnsOf = (pour: Pour): readonly PotId[] =>
  pour.pattern && isOneJug(pour.pattern.place) ? potsOf(pour) : roundOf(pour);

/**
 * What a pour takes of each pot, `massOf` g, dealt out over its rounds, at the scale's step. What was poured
 * by the end of each turn is rounded, not the turn: so that nothing is lost or made up, and the last turn
 * ends at all there is.
 */
export function roundsOf(pour: Pour, massOf: (pot: PotId) => Grams, stepG: Grams): readonly Round[] {
  const order = turnsOf(pour);
  const parts = pour.pattern?.rounds ?? [1];
  const all = parts.reduce((s, p) => s + p, 0);
  const times = new Map<PotId, number>();
  for (const pot of order) times.set(pot, (times.get(pot) ?? 0) + 1);
  const share = new Map<PotId, number>();
  const poured = new Map<PotId, Grams>();
  return parts.map((part) =>
    order.map((pot): Turn => {
      const now = (share.get(pot) ?? 0) + part / all / (times.get(pot) ?? 1);
      share.set(pot, now);
      const before = poured.get(pot) ?? 0;
      const whole = massOf(pot);
      // the last turn's share is one but for a double's dust
      const to = now > 1 - 1e-9 ? whole : Math.min(whole, toStep(whole * now, stepG));
      poured.set(pot, to);
      return { pot, massG: clean(to - before), pouredG: clean(to) };
    }),
  );
}
