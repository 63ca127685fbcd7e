import { coloursEach, habitsOf } from '../../clock/habits.ts';
import type { Computed } from '../../computed/compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import { linesOf } from '../lines.ts';

/** One pot gets its colour, and what else is its own; nothing where it gets nothing. */
function colourOf(computed: Computed, w: Weights, { pot }: PotWeight): Draft | undefined {
  const id = ACT.potColour(pot.id);
  const lines = linesOf(computed, w, id);
  if (lines.length === 0) return undefined;
  return {
    id,
    chapter: 'pour',
    pot: pot.id,
    deed: {
      does: 'colour-pot',
      coloured: lines.some((l) => l.from !== SUPPLY),
      more: lines.some((l) => l.from === SUPPLY),
      stirrer: habitsOf(computed.plan.clock).stirrer,
    },
    lines,
  };
}

/** It takes from a pot, puts something to it or works in it. */
const isWith = ({ ofSecond, pot: of, lines = [] }: Draft, { pot }: PotWeight): boolean =>
  ofSecond !== true &&
  (of === pot.id || lines.some((l) => l.from === VESSEL.pot(pot.id) || l.to === VESSEL.pot(pot.id)));

/** The sheet with each pot's colour right before the first thing that is done with it once it is weighed out. */
export function colouring(computed: Computed, w: Weights, drafts: readonly Draft[]): readonly Draft[] {
  if (!coloursEach(computed.plan)) return drafts;
  return w.pots.reduce((all, pot) => {
    const colour = colourOf(computed, w, pot);
    const out = all.findIndex((d) => d.id === ACT.pot(pot.pot.id));
    if (!colour || out < 0) return all;
    const found = all.findIndex((d, i) => i > out && isWith(d, pot));
    const at = found < 0 ? out + 1 : found;
    const chapter = all[at]?.chapter ?? colour.chapter;
    return all.toSpliced(at, 0, { ...colour, chapter });
  }, drafts);
}
