import type { MouldFacts } from '../advice/facts.ts';
import { cutBars, type BarCut } from '../cut/bars.ts';
import { topDensity, weighedTops, type WeighedPart } from '../fill/topMass.ts';
import type { ScaledMould, ScaledPlan } from '../weigh/scaled.ts';

/** A whole plan laid, with what every mould gives when it is cut. */
export interface PlanInBars extends ScaledPlan {
  /** of the first mould */
  readonly cut: BarCut;
  readonly tops: readonly WeighedPart[];
  readonly moulds: readonly [MouldFacts, ...MouldFacts[]];
}

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
