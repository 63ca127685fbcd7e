import type { ActOf, DayAct } from '../day/act.ts';
import { VESSEL } from '../day/vessel.ts';
import { everIn, transfersOf, type Transfer } from '../ledger/ledger.ts';
import type { Plan } from '../plan/planSchema.ts';
import { SUBSTANCE } from '../weigh/substances.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Telling } from './telling.ts';

/** One batch of the day, with what is weighed for it: the loaf's, or that which is piped on top. */
export interface Batch {
  readonly plan: Plan;
  readonly w: Weights;
  readonly acts: readonly DayAct[];
}

/** The loaf's first. */
export function batchesIn({ computed: { plan, second }, w, day }: Telling): readonly [Batch, ...Batch[]] {
  const own: Batch = { plan, w, acts: day.filter((a) => a.does !== 'of-second') };
  if (!second?.weights) return [own];
  const acts = day.flatMap((a) => (a.does === 'of-second' ? [a.act] : []));
  return [own, { plan: second.plan, w: second.weights, acts }];
}

export const transfersIn = ({ w }: Batch, { id }: DayAct): readonly Transfer[] => transfersOf(w.ledger, id);

/** Acts of a kind that something is weighed at. */
export const weighs = <D extends DayAct['does']>(batch: Batch, does: D): readonly ActOf<D>[] =>
  batch.acts.filter((a): a is ActOf<D> => a.does === does && transfersIn(batch, a).length > 0);

/** There is more in the lye than lye and water: it is strained. */
export const strains = ({ ledger }: Weights): boolean =>
  [...everIn(ledger, VESSEL.lye).keys()].some((id) => id !== SUBSTANCE.lye && id !== SUBSTANCE.water);
