import type { MouldFacts } from '../../advice/facts.ts';
import { afterwards } from '../../clock/afterwards.ts';
import { isCavity } from '../../mould/schema.ts';
import type { Deed } from '../deeds.ts';
import { inNamed, mouldFacts, named } from '../telling.ts';
import type { TellFor } from './tells.ts';

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

export const tellEnding: TellFor<'finish' | 'unmould' | 'cut'> = {
  finish: (_telling, { step }) => ({ deed: { does: 'finish', what: step.what } }),
  unmould: ({ computed: { plan, moulds, recipe } }) => ({
    deed: {
      does: 'unmould',
      turnedOver: moulds.some((m) => m.use.mould.mat),
      ...(recipe ? { hours: afterwards(plan, recipe).unmouldH.from } : {}),
    },
  }),
  cut: (telling, { mould }) => {
    const facts = mouldFacts(telling, mould);
    return facts.cut.count > 0 ? { deed: cutDeed(facts, named(inNamed(telling, mould))) } : undefined;
  },
};
