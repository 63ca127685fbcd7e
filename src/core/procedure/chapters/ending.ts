import type { MouldFacts } from '../../advice/facts.ts';
import { afterwards, type Afterwards } from '../../clock/afterwards.ts';
import { isCavity } from '../../mould/schema.ts';
import type { Deed } from '../deeds.ts';
import { inNamed, mouldFacts, named } from '../telling.ts';
import type { TellFor } from './tells.ts';

/** A cavity's bar is only taken out. */
function cutDeed(
  { plan, cut, use }: MouldFacts,
  after: Afterwards | undefined,
  mould: { readonly mould?: string },
): Deed {
  if (isCavity(use.mould)) return { does: 'press-out', bars: use.copies, after, ...mould };
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
    leftMm: cut.sliced && cut.sliced.blocks > 0 ? cut.sliced.offcutMm : cut.remainderMm,
    after,
    ...mould,
  };
}

export const tellEnding: TellFor<'finish' | 'unmould' | 'cut'> = {
  finish: (_telling, { step }) => ({ deed: { does: 'finish', what: step.what } }),
  unmould: ({ computed: { plan, moulds, recipe } }) => ({
    deed: {
      does: 'unmould',
      turnedOver: moulds.some((m) => m.use.mould.mat),
      after: recipe && afterwards(plan, recipe),
    },
  }),
  cut: (telling, { mould }) => {
    const { plan, recipe } = telling.computed;
    const facts = mouldFacts(telling, mould);
    return facts.cut.count > 0
      ? { deed: cutDeed(facts, recipe && afterwards(plan, recipe), named(inNamed(telling, mould))) }
      : undefined;
  },
};
