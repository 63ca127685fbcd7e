import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import { afterwards } from '../../clock/afterwards.ts';
import { isCavity } from '../../mould/schema.ts';
import { FIRST, mouldNames } from '../../plan/moulds.ts';
import type { Draft } from '../act.ts';
import type { Deed } from '../deeds.ts';

export function finishing({ plan }: Computed): Draft[] {
  return plan.steps.flatMap((s): Draft[] =>
    s.kind === 'finish'
      ? [{ id: s.id, chapter: 'finish', step: s.id, deed: { does: 'finish', what: s.what } }]
      : [],
  );
}

/** A cavity's bar is only taken out. */
function cutDeed({ plan, cut, use }: MouldFacts, mould: { readonly mould?: string }): Deed {
  if (isCavity(use.mould)) return { does: 'press-out', bars: use.copies, ...mould };
  return {
    does: 'cut',
    bars: cut.count,
    discs: cut.pieces[0]?.axis === 'z',
    thickMm: plan.cut.thicknessMm,
    moulds: plan.fill.copies,
    pieces: cut.pieces.length,
    strips: plan.cut.strips,
    ...(cut.sliced && cut.sliced.blocks > 0 ? { sliced: cut.sliced } : {}),
    onSide: plan.cut.onSide === true,
    trimStartMm: plan.cut.trimStartMm,
    trimEndMm: plan.cut.trimEndMm,
    planeMm: cut.planeMm ?? 0,
    ...mould,
  };
}

export const cutting = ({ plan, moulds, recipe }: Computed): Draft[] => [
  {
    id: 'unmould',
    chapter: 'cut',
    deed: {
      does: 'unmould',
      turnedOver: moulds.some((m) => m.use.mould.mat),
      ...(recipe ? { hours: afterwards(plan, recipe).unmouldH.from } : {}),
    },
  },
  ...moulds.flatMap((m): Draft[] => {
    const mould = moulds.length > 1 ? { mould: mouldNames(plan).get(m.use.id) ?? '' } : {};
    const id = m.use.id === FIRST ? 'cut' : `cut:${m.use.id}`;
    return m.cut.count > 0 ? [{ id, chapter: 'cut', deed: cutDeed(m, mould) }] : [];
  }),
];
