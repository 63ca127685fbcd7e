import type { MouldFacts } from '../../advice/facts.ts';
import { FIRST, mouldNames } from '../../plan/moulds.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { formatLength, formatMass } from '../../units/format.ts';
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

/** One mould to lay out, with what stands in it. */
function mouldOut({ units }: Plan, { use, geometry }: MouldFacts, name: string): Draft[] {
  const { mould, copies, id } = use;
  const suffix = id === FIRST ? '' : `:${id}`;
  const liner = mould.linerMm > 0 ? ', lined' : '';
  return [
    {
      id: `lay-out:mould${suffix}`,
      chapter: 'lay-out',
      text: `${copies > 1 ? `${copies} moulds` : 'Mould'}: ${name}${liner}, ${formatLength(geometry.floor.width, units.length)} wide and ${formatLength(geometry.heightMm, units.length)} high inside.`,
    },
    ...(mould.divider
      ? [
          {
            id: `lay-out:divider${suffix}`,
            chapter: 'lay-out' as const,
            text: `Divider in: ${mould.divider.atMm.length} ${mould.divider.runs} ${mould.divider.atMm.length === 1 ? 'wall' : 'walls'}, tight to the floor.`,
          },
        ]
      : []),
    ...(mould.column
      ? [
          {
            id: `lay-out:column${suffix}`,
            chapter: 'lay-out' as const,
            text: `Column: ${mould.column.form}, ${formatLength(mould.column.acrossMm, units.length)} across, weighted so that it stands while batter is poured round it.`,
          },
        ]
      : []),
  ];
}

export function layOut({ plan, moulds }: Computed, w: Weights): Draft[] {
  const { units } = plan;
  const jugs = plan.pots.filter((p) => p.jugOf === undefined).map((p) => p.letter);
  const stocks = w.ombres.some((o) => o.school === 'master-blends') ? ', one for each stock' : '';
  const names = mouldNames(plan);
  const known = plan.pots
    .flatMap((p) =>
      p.jug && p.jugOf === undefined
        ? [`${p.letter} is ${p.jug.name}, ${formatMass(p.jug.tareG, units.mass, units.scaleStepG)} empty.`]
        : [],
    )
    .join(' ');
  return [
    ...moulds.flatMap((m) => mouldOut(plan, m, names.get(m.use.id) ?? '')),
    {
      id: 'lay-out:jugs',
      chapter: 'lay-out',
      text: `Jugs labelled ${jugs.join(', ')}${stocks}, and one for the lye.${known === '' ? '' : ` ${known}`}`,
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
