import type { MouldFacts, PlanInBars } from '../advice/facts.ts';
import { cutBars } from '../cut/bars.ts';
import { topDensity, weighedTops } from '../fill/topMass.ts';
import type { ScaledMould, ScaledPlan } from '../weigh/scaled.ts';

/** What every mould of a laid plan gives when it is cut. */
export function inBars(laid: ScaledPlan): PlanInBars {
  const densityOf = topDensity(laid.plan, laid.recipes);
  const inOne = (m: ScaledMould): MouldFacts => {
    const tops = weighedTops(m, densityOf);
    return { ...m, tops, cut: cutBars(m, m.plan, tops) };
  };
  const [first, ...others] = laid.moulds;
  const moulds = [inOne(first), ...others.map(inOne)] as const;
  return { ...laid, moulds, cut: moulds[0].cut, tops: moulds[0].tops };
}
