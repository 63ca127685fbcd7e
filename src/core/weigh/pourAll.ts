import { superfatIn } from '../ledger/balance.ts';
import type { Grams, Percent } from '../units/quantity.ts';
import { ACT, VESSEL } from './acts.ts';
import { drawDispersed, type WeighBench } from './bench.ts';
import type { OmbreWeights } from './ombre/types.ts';
import type { PotTarget } from './targets.ts';

/** What was in the jug when a pour was made. */
export interface PouredFrom {
  readonly pouredG: Grams;
  /** superfat of what is poured; undefined while there is none to tell */
  readonly superfatPercent: Percent | undefined;
}

/** What goes before each pass of a pot that is coloured as it empties: plain batter first, then the colorants. */
function beforePass(bench: WeighBench, ombres: readonly OmbreWeights[], pourId: string): void {
  const act = ACT.pass(pourId);
  for (const o of ombres) {
    if (o.school !== 'one-pot') continue;
    for (const pot of o.pots) {
      const pass = pot.passes.find((p) => p.pourId === pourId);
      if (pass) bench.book.move(act, VESSEL.plain(pot.pot.id), VESSEL.pot(pot.pot.id), pass.plainG, false);
    }
  }
  drawDispersed(bench, act);
}

/**
 * All pours in order, then the top. `ombres` are as they are by now; what is poured is `amounts`, or all there is when the
 * jug has less.
 */
export function pourAll(
  bench: WeighBench,
  ombres: readonly OmbreWeights[],
  amounts: ReadonlyMap<string, Grams>,
  pots: readonly PotTarget[],
): ReadonlyMap<string, PouredFrom> {
  const { plan, book, substances } = bench;
  const poured = new Map<string, PouredFrom>();
  for (const step of plan.steps) {
    if (step.kind !== 'pour') continue;
    const vessel = VESSEL.pot(step.pot);
    beforePass(bench, ombres, step.id);
    const superfatPercent = superfatIn(book.holds(vessel), substances);
    const pouredG = book.move(ACT.pour(step.id), vessel, VESSEL.mould, amounts.get(step.id) ?? 0, false);
    poured.set(step.id, { pouredG, superfatPercent });
  }
  for (const { pot, heldBackG } of pots)
    book.move(ACT.top, VESSEL.pot(pot.id), VESSEL.mould, heldBackG, false);
  return poured;
}
