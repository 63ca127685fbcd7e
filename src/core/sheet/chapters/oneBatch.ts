import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { coarse, fine, potName, type Draft } from './draft.ts';

function traceAdditives(w: Weights): Draft[] {
  const atTrace = w.additives.filter((a) => a.into === 'trace');
  return atTrace.length > 0
    ? [{ chapter: 'emulsify', text: 'Stir in at light trace.', lines: atTrace.map(fine) }]
    : [];
}

/** One batch, emulsified and then divided into its pots. */
export function oneBatch(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const scentWhole = w.fragranceG > 0 && plan.batter.fragrance?.when === 'batch';
  const scentPots = w.fragranceG > 0 && plan.batter.fragrance?.when === 'pot';
  return [
    {
      chapter: 'emulsify',
      text: 'Pour the cooled lye solution into the oils and blend in short bursts to a stable emulsion.',
      lines: [
        { name: 'Lye solution, all of it', massG: w.solutionG, fine: false },
        ...w.partLiquids.map(coarse),
      ],
      caution: 'Keep the blender head under the surface: spatters burn.',
    },
    ...traceAdditives(w),
    ...(scentWhole
      ? [
          {
            chapter: 'emulsify' as const,
            text: 'Stir in the fragrance.',
            lines: [{ name: plan.batter.fragrance?.name ?? 'Fragrance', massG: w.fragranceG, fine: true }],
          },
        ]
      : []),
    ...w.pots
      .filter((p) => p.batterG > 0)
      .map((p): Draft => ({
        chapter: 'divide',
        pot: p.pot.id,
        text: `Weigh out ${potName(p.pot)}${p.colorants.length > 0 ? ', and stir in its dispersed colorant' : ''}.`,
        lines: [
          { name: 'Batter', massG: p.batterG, fine: false, pot: p.pot.id },
          ...(scentPots
            ? [{ name: plan.batter.fragrance?.name ?? 'Fragrance', massG: p.portion.fragranceG, fine: true }]
            : []),
        ],
      })),
    ...(w.spareG > 0
      ? [
          {
            chapter: 'divide' as const,
            text: 'Batter that goes into no pour: keep a small mould ready for it.',
            lines: [{ name: 'Spare batter', massG: w.spareG, fine: false }],
          },
        ]
      : []),
  ];
}
