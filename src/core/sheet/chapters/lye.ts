import { peakLyeTemperature } from '../../batter/lyeHeat.ts';
import { formatPercent, formatTemperature } from '../../units/format.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { fine, type Draft } from './draft.ts';

export function lye({ plan }: Computed, w: Weights): Draft[] {
  const { temperatures } = plan.batter;
  const peak = formatTemperature(
    peakLyeTemperature(w.lyeG, w.waterG, temperatures.waterC),
    plan.units.temperature,
  );
  const dissolved = w.additives.filter((a) => a.into === 'lye');
  return [
    {
      chapter: 'lye',
      text: 'Weigh the water into a heat-safe jug with room to spare.',
      lines: [{ name: 'Water', massG: w.waterG, fine: false }],
    },
    {
      chapter: 'lye',
      text: 'Weigh the sodium hydroxide into a dry, labelled cup.',
      lines: [
        {
          name: `Sodium hydroxide, ${formatPercent(plan.batter.purityPercent)} pure`,
          massG: w.lyeG,
          fine: false,
        },
      ],
    },
    {
      chapter: 'lye',
      text: `Stir the lye into the water, a little at a time. It heats to about ${peak} (estimate). Let it cool to ${formatTemperature(temperatures.lyeC, plan.units.temperature)}.`,
      caution: 'Lye into water, never water into lye. It fumes: stand back and do not breathe over it.',
    },
    ...(dissolved.length > 0
      ? [{ chapter: 'lye' as const, text: 'Stir into the cooled lye.', lines: dissolved.map(fine) }]
      : []),
  ];
}
