import { formatMass, formatTemperature } from '../../units/format.ts';
import { ACT } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { linesOf, sumOfLines } from '../lines.ts';
import type { Draft } from './draft.ts';

export function oils(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const { units } = plan;
  const aside = linesOf(computed, w, ACT.carrierOil);
  const weighed = linesOf(computed, w, ACT.oils);
  const inOils = linesOf(computed, w, ACT.inOils);
  const allG = formatMass(sumOfLines(weighed), units.mass, units.scaleStepG);
  return [
    ...(aside.length > 0
      ? [
          {
            id: ACT.carrierOil,
            chapter: 'oils' as const,
            text: `Set aside, in a small cup, oil to disperse the colorants in: ${formatMass(sumOfLines(aside), 'g', units.fineStepG)} in all. It is part of the recipe’s oils, taken out here once.`,
            lines: aside,
          },
        ]
      : []),
    {
      id: ACT.oils,
      chapter: 'oils',
      text: `Weigh the oils into one pot, ${allG} in all${aside.length > 0 ? ' without what was set aside' : ''}; melt the hard ones, mix and bring to ${formatTemperature(plan.batter.temperatures.oilsC, units.temperature)}.`,
      lines: weighed,
    },
    ...(inOils.length > 0
      ? [{ id: ACT.inOils, chapter: 'oils' as const, text: 'Stir into the oils.', lines: inOils }]
      : []),
  ];
}
