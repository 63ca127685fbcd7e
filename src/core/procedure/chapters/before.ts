import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import { columnsIn } from '../../mould/column.ts';
import { FIRST, mouldNames } from '../../plan/moulds.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';

export const safety = ({ plan }: Computed, w: Weights): Draft[] => [
  { id: 'safety', chapter: 'safety', deed: { does: 'protect' } },
  {
    id: 'data-sheets',
    chapter: 'safety',
    deed: { does: 'read-data-sheets', fragrance: w.fragranceG > 0, colorants: plan.colorants.length > 0 },
  },
];

/** One mould to lay out, with what stands in it. */
function mouldOut({ use, geometry }: MouldFacts, name: string): Draft[] {
  const { mould, copies, id } = use;
  const { divider, mat } = mould;
  const columns = columnsIn(mould);
  const suffix = id === FIRST ? '' : `:${id}`;
  const drafts: Draft[] = [
    {
      id: `lay-out:mould${suffix}`,
      chapter: 'lay-out',
      deed: {
        does: 'lay-out-mould',
        name,
        copies,
        lined: mould.linerMm > 0,
        wideMm: geometry.floor.width,
        highMm: geometry.heightMm,
      },
    },
  ];
  if (mat)
    drafts.push({
      id: `lay-out:mat${suffix}`,
      chapter: 'lay-out',
      deed: { does: 'lay-mat', thicknessMm: mat.thicknessMm, reliefMm: mat.reliefMm },
    });
  if (divider)
    drafts.push({
      id: `lay-out:divider${suffix}`,
      chapter: 'lay-out',
      deed: { does: 'set-divider', walls: divider.atMm.length, runs: divider.runs },
    });
  if (columns.length > 0)
    drafts.push({
      id: `lay-out:columns${suffix}`,
      chapter: 'lay-out',
      deed: { does: 'stand-columns', columns },
    });
  return drafts;
}

export function layOut({ plan, moulds }: Computed, w: Weights): Draft[] {
  const jugs = plan.pots.filter((p) => p.jugOf === undefined);
  const names = mouldNames(plan);
  return [
    ...moulds.flatMap((m) => mouldOut(m, names.get(m.use.id) ?? '')),
    {
      id: 'lay-out:jugs',
      chapter: 'lay-out',
      deed: {
        does: 'lay-out-jugs',
        letters: jugs.map((p) => p.letter),
        stocks: w.ombres.some((o) => o.school === 'master-blends'),
        known: jugs.flatMap(({ letter, jug }) => (jug ? [{ letter, name: jug.name, tareG: jug.tareG }] : [])),
      },
    },
    { id: 'lay-out:scale', chapter: 'lay-out', deed: { does: 'lay-out-scales' } },
    ...(w.fragranceG > 0
      ? [
          {
            id: 'lay-out:fragrance',
            chapter: 'lay-out' as const,
            deed: { does: 'lay-out-fragrance' as const },
          },
        ]
      : []),
  ];
}
