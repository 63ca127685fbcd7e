import type { Computed } from '../../computed/compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { ACT } from '../../weigh/acts.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import type { Minutes } from '../../units/quantity.ts';
import { linesOf } from '../lines.ts';
import { schoolOf, stocks } from './colours.ts';

function portion(computed: Computed, w: Weights, { pot, colorants }: PotWeight): Draft {
  const id = ACT.pot(pot.id);
  const lines = linesOf(computed, w, id);
  const school = schoolOf(w, pot.id);
  return {
    id,
    chapter: 'divide',
    pot: pot.id,
    deed: {
      does: 'make-portion',
      fromStocks: school === 'master-blends',
      ownOils: lines.some((l) => l.from === SUPPLY && w.substances.get(l.substance ?? '')?.kind === 'oil'),
      coloured: colorants.length > 0 && school !== 'one-pot',
    },
    lines,
  };
}

/** Each pot's own oils, additives, colour and scent ready in its jug before any lye is added. */
export const portions = (computed: Computed, w: Weights): Draft[] => [
  ...stocks(computed, w),
  ...w.pots.filter((p) => p.batterG > 0).map((p) => portion(computed, w, p)),
];

/** All portions combined at the start, in the order that the clock has them in: the largest first. */
export function combineAll(computed: Computed, w: Weights): Draft[] {
  const { plan, clock } = computed;
  if (plan.divide.kind !== 'before-lye' || plan.divide.lye !== 'together') return [];
  const at = (p: PotWeight): Minutes =>
    clock?.acts.find((a) => a.act.key === `make ${p.pot.id}`)?.startMin ?? Number.MAX_VALUE;
  return w.pots
    .filter((p) => p.batterG > 0)
    .toSorted((a, b) => at(a) - at(b) || b.batterG - a.batterG)
    .flatMap((p) => combine(computed, p.pot, w));
}

/** Lye solution weighed into one pot's own oils, and what is stirred in once that holds. */
export function combine(computed: Computed, pot: Pot, w: Weights): Draft[] {
  const id = ACT.combine(pot.id);
  const lines = linesOf(computed, w, id);
  const emulsion = linesOf(computed, w, ACT.potEmulsion(pot.id));
  // a one-pot ombre that goes paler again needs plain batter, set aside before the first colour goes in
  const plain = lines.find((l) => l.to.startsWith('plain:'));
  const drafts: Draft[] = [
    { id, chapter: 'emulsify', pot: pot.id, deed: { does: 'combine', plainG: plain?.massG }, lines },
  ];
  if (emulsion.length > 0)
    drafts.push({
      id: ACT.potEmulsion(pot.id),
      chapter: 'emulsify',
      pot: pot.id,
      deed: { does: 'stir-into-pot', at: 'emulsion' },
      lines: emulsion,
    });
  return drafts;
}
