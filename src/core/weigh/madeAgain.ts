import { SUPPLY, type Transfer } from '../ledger/ledger.ts';
import type { Grams } from '../units/quantity.ts';
import { ACT, colouredAt, VESSEL } from './acts.ts';
import { drawDispersed, type WeighBench } from './bench.ts';
import type { OmbreWeights } from './ombre/types.ts';

/** What a pot draws of one of its stocks by now; undefined for all that comes from elsewhere. */
function drawnOfStock(ombres: readonly OmbreWeights[], { act, from }: Transfer): Grams | undefined {
  for (const o of ombres) {
    const draw = o.school === 'master-blends' ? o.draws.find((d) => ACT.pot(d.pot.id) === act) : undefined;
    if (draw && from === VESSEL.stock(o.ombre.id, 'last')) return draw.lastG;
    if (draw && from === VESSEL.stock(o.ombre.id, 'first')) return draw.firstG;
  }
  return undefined;
}

/**
 * The batch made ready once more, act by act as `made` has it: what was mixed stays as it was mixed, whatever was entered since. Only
 * what pots are coloured with, and what they draw of stocks, is as it is by now.
 */
export function madeAgain(
  bench: WeighBench,
  made: readonly Transfer[],
  ombres: readonly OmbreWeights[],
): void {
  const { plan, book, pots, dispersions } = bench;
  const jars = new Set(dispersions.jars.map((j) => VESSEL.jar(j.colorant)));
  const toColour = new Set(pots.map((p) => colouredAt(plan, p.target.pot.id)));
  const colour = (act: string): void => {
    if (toColour.delete(act)) drawDispersed(bench, act);
  };
  const colourActs = new Set(toColour);
  for (const t of made) {
    const { act, from, to, massG, fine, what, dose } = t;
    const [substance] = what.keys();
    if (from === SUPPLY && substance !== undefined) book.add(act, substance, to, massG, fine, dose);
    else if (colourActs.has(act) && jars.has(from)) colour(act);
    else book.move(act, from, to, drawnOfStock(ombres, t) ?? massG, fine);
  }
  for (const act of colourActs) colour(act);
}
