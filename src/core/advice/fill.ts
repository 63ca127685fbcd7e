import { formatMass, formatVolume } from '../units/format.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';

export function fillWarnings({ plan, fill, densityGMl, geometry }: Facts): Warning[] {
  const { units } = plan;
  const warnings: Warning[] = [];
  if (fill.overRimMl > 0.5)
    warnings.push({
      code: 'over-rim',
      level: 'refuse',
      station: 'mould',
      message: `That is ${formatMass(fill.overRimMl * densityGMl, units.mass, 1)} (${formatVolume(fill.overRimMl, units.length)}) more than the mould holds to the rim.`,
      remedies: [
        {
          label: 'Fill to 3 mm under the rim',
          apply: (p) => ({ ...p, fill: { ...p.fill, to: { kind: 'headspace', headspaceMm: 3 } } }),
        },
      ],
    });
  if (fill.volumeMl <= 0)
    warnings.push({
      code: 'nothing-to-fill',
      level: 'refuse',
      station: 'mould',
      message:
        fill.givenBatchG === undefined
          ? `The headspace leaves nothing to fill: the lined mould is ${geometry.heightMm.toFixed(1)} mm high.`
          : 'The batch is used up by what is held back and the overage: nothing is left to pour.',
    });
  return warnings;
}
