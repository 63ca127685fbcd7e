import { mouldGeometry } from '../mould/geometry.ts';
import type { Mould } from '../mould/schema.ts';
import { LOAF_CUT } from '../plan/newPlan.ts';
import type { CutSettings, Plan } from '../plan/planSchema.ts';

/**
 * The cut that gives the bars a slab is made for: its strips, and its length shared out to a tenth of a
 * millimetre.
 */
export function slabCut(mould: Mould): CutSettings | undefined {
  if (!mould.bars) return undefined;
  const { across, along } = mould.bars;
  const each = Math.floor((mouldGeometry(mould).floor.length / along) * 10) / 10;
  return { strips: across, thicknessMm: Math.max(5, each), kerfMm: 0, trimStartMm: 0, trimEndMm: 0 };
}

/** Take another mould. A slab brings its own cut; a loaf after a slab is cut as loaves are. */
export const takeMould = (plan: Plan, mould: Mould): Plan => ({
  ...plan,
  mould,
  cut: slabCut(mould) ?? (plan.mould.bars ? LOAF_CUT : plan.cut),
});

/** Say for how many bars this slab is made, and cut it so; undefined: a loaf, cut as it is now. */
export function madeFor(plan: Plan, bars: Mould['bars']): Plan {
  const { bars: _bars, ...mould } = plan.mould;
  return bars ? takeMould(plan, { ...mould, bars }) : { ...plan, mould };
}
