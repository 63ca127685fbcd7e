import { formatNumber } from '../../units/format.ts';
import type { Pot } from '../../plan/planSchema.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import type { Line } from '../procedure.ts';
import { dispersedLines, drawLines, schoolOf, startLines, stocks } from './colours.ts';
import { coarse, fine, potName, type Draft } from './draft.ts';

/** Each pot's own oils, additives, colour and scent ready in its jug before any lye is added. */
export function portions(computed: Computed, w: Weights): Draft[] {
  const fragrance = computed.plan.batter.fragrance;
  const inPots = w.pots.filter((p) => p.batterG > 0);
  const jugs = inPots.map((p): Draft => ({
    chapter: 'divide',
    pot: p.pot.id,
    text: portionText(p, w),
    lines: [
      ...portionLines(computed, p, w),
      ...p.portion.additives.filter((a) => a.massG > 0).map(fine),
      ...(p.portion.fragranceG > 0
        ? [{ name: fragrance?.name ?? 'Fragrance', massG: p.portion.fragranceG, fine: true }]
        : []),
    ],
  }));
  return [...stocks(computed, w), ...jugs];
}

function portionText({ pot, colorants }: PotWeight, w: Weights): string {
  const school = schoolOf(w, pot.id);
  if (school === 'master-blends')
    return `Make ready ${potName(pot)}: into its own jug draw from the stocks of oils, stirred first.`;
  const coloured = colorants.length > 0 && school !== 'one-pot';
  return `Make ready ${potName(pot)}: into its own jug weigh the mixed oils${coloured ? ', then stir in its dispersed colorant' : ''}.`;
}

function portionLines(computed: Computed, p: PotWeight, w: Weights): readonly Line[] {
  const school = schoolOf(w, p.pot.id);
  if (school === 'master-blends') return drawLines(w, p.pot.id);
  const oils = { name: 'Mixed oils', massG: p.portion.oilsG, fine: false, pot: p.pot.id };
  return school === 'one-pot' ? [oils] : [oils, ...dispersedLines(computed, p.colorants)];
}

/** All portions combined at the start, the largest first. */
export function combineAll({ plan }: Computed, w: Weights): Draft[] {
  if (plan.divide.kind !== 'before-lye' || plan.divide.lye !== 'together') return [];
  return w.pots
    .filter((p) => p.batterG > 0)
    .toSorted((a, b) => b.batterG - a.batterG)
    .map((p) => combine(p.pot, w));
}

/** A one-pot ombre that goes paler again needs plain batter, set aside before the first colour goes in. */
function plainText(w: Weights, potId: string): string {
  const plainG = startLines(w, potId)?.[1]?.massG ?? 0;
  return plainG > 0 ? ` Set ${formatNumber(plainG, 0)} g of it aside, plain, before any colour goes in.` : '';
}

/** Lye solution weighed into one pot's own oils. */
export function combine(pot: Pot, w: Weights): Draft {
  const portion = w.pots.find((p) => p.pot.id === pot.id)?.portion;
  return {
    chapter: 'emulsify',
    pot: pot.id,
    text: `Stir the lye solution, weigh its part into ${potName(pot)}, and blend to an emulsion.${plainText(w, pot.id)}`,
    lines: [
      { name: 'Lye solution', massG: portion?.solutionG ?? 0, fine: false, pot: pot.id },
      ...(portion?.partLiquids ?? []).map(coarse),
    ],
    caution: 'The lye solution is caustic: pour low and slowly, gloves and goggles on.',
  };
}
