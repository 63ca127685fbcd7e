import { formatLength } from '../../units/format.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import type { Draft } from './draft.ts';

export const safety = ({ plan }: Computed, w: Weights): Draft[] => [
  {
    id: 'safety',
    chapter: 'safety',
    text: 'Goggles, gloves, long sleeves on. Room aired. No children, no pets. Running water within reach.',
    caution:
      'Sodium hydroxide burns skin and eyes, and raw batter is caustic too: keep the gloves on to the cut. On skin or in eyes: rinse at once with plenty of running water and get medical help.',
  },
  {
    id: 'data-sheets',
    chapter: 'safety',
    text: `Read the ${w.fragranceG > 0 ? 'suppliers’ data sheets for the lye and the fragrance' : 'supplier’s data sheet for the lye'}${plan.colorants.length > 0 ? ', and what is said of the colorants' : ''}. They and your local rules come before this sheet.`,
  },
];

export function layOut({ plan, geometry }: Computed, w: Weights): Draft[] {
  const { units, mould } = plan;
  const liner = mould.linerMm > 0 ? ', lined' : '';
  const jugs = plan.pots.filter((p) => p.jugOf === undefined).map((p) => p.letter);
  const stocks = w.ombres.some((o) => o.school === 'master-blends') ? ', one for each stock' : '';
  return [
    {
      id: 'lay-out:mould',
      chapter: 'lay-out',
      text: `${plan.fill.copies > 1 ? `${plan.fill.copies} moulds` : 'Mould'}: ${mould.name}${liner}, ${formatLength(geometry.floor.width, units.length)} wide and ${formatLength(geometry.heightMm, units.length)} high inside.`,
    },
    ...(mould.divider
      ? [
          {
            id: 'lay-out:divider',
            chapter: 'lay-out' as const,
            text: `Divider in: ${mould.divider.atMm.length} ${mould.divider.runs} ${mould.divider.atMm.length === 1 ? 'wall' : 'walls'}, tight to the floor.`,
          },
        ]
      : []),
    ...(mould.column
      ? [
          {
            id: 'lay-out:column',
            chapter: 'lay-out' as const,
            text: `Column: ${mould.column.form}, ${formatLength(mould.column.acrossMm, units.length)} across, weighted so that it stands while batter is poured round it.`,
          },
        ]
      : []),
    {
      id: 'lay-out:jugs',
      chapter: 'lay-out',
      text: `Jugs labelled ${jugs.join(', ')}${stocks}, and one for the lye.`,
    },
    {
      id: 'lay-out:scale',
      chapter: 'lay-out',
      text: `Scale to ${units.scaleStepG} g${units.fineStepG < units.scaleStepG ? `, fine scale to ${units.fineStepG} g` : ''}, two thermometers, stick blender, spatulas, paper towels.`,
      caution: 'No aluminium anywhere near lye or raw batter.',
    },
    ...(w.fragranceG > 0
      ? [
          {
            id: 'lay-out:fragrance',
            chapter: 'lay-out' as const,
            text: 'Fragrance, weighed last, lid on until then.',
          },
        ]
      : []),
  ];
}
