import type { BarCut } from '../cut/bars.ts';
import type { LaidPlan } from '../fill/layPlan.ts';
import type { Weights } from '../weigh/weights.ts';

/** What is computed from a plan, before any judgement of it. */
export interface Facts extends LaidPlan {
  readonly cut: BarCut;
  readonly weights: Weights | undefined;
}
