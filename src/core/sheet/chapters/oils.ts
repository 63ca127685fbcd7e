import { formatTemperature } from '../../units/format.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { coarse, fine, type Draft } from './draft.ts';

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
