import { formatTemperature } from '../../units/format.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { coarse, fine, potName, type Draft } from './draft.ts';

export function oils({ plan }: Computed, w: Weights): Draft[] {
  // portions made ready before the lye get theirs jug by jug
  const inOils = plan.divide.kind === 'before-lye' ? [] : w.additives.filter((a) => a.into === 'oils');
  return [
    {
      chapter: 'oils',
      text: `Weigh the oils, melt the hard ones, mix and bring to ${formatTemperature(plan.batter.temperatures.oilsC, plan.units.temperature)}.`,
      lines: [...w.oils.map(coarse), { name: 'All oils', massG: w.oilsG, fine: false }],
    },
    ...(inOils.length > 0
      ? [{ chapter: 'oils' as const, text: 'Stir into the oils.', lines: inOils.map(fine) }]
      : []),
  ];
}

export const colours = (w: Weights): Draft[] =>
  w.pots
    .filter((p) => p.colorants.length > 0)
    .map((p) => ({
      chapter: 'colour',
      pot: p.pot.id,
      text: `Disperse for ${potName(p.pot)}: crush out every lump in a little light oil or water.`,
      lines: p.colorants.map(fine),
    }));
