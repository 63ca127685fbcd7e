import { formatMass, formatVolume } from '../units/format.ts';
import { holdBackEvenly } from '../edit/pots.ts';
import { holeMl } from '../mould/geometry.ts';
import { totalHeldBack } from '../plan/pours.ts';
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
  const holeG = holeMl(geometry, fill.heightMm) * densityGMl;
  const heldG = totalHeldBack(plan) / plan.fill.copies;
  if (holeG > heldG + 1)
    warnings.push({
      code: 'column-hole',
      level: 'warn',
      station: 'mould',
      message: `Pulling the column leaves a hole of ${formatMass(holeG, units.mass, 1)}, and ${formatMass(heldG, units.mass, 1)} is held back to fill it.`,
      remedies: [
        {
          label: `Hold back ${formatMass(Math.ceil(holeG), units.mass, 1)} from the pots poured`,
          apply: (p) => holdBackEvenly(p, Math.ceil(holeG) * p.fill.copies),
        },
      ],
    });
  return warnings;
}
