import type { BarCut } from '../cut/bars.ts';
import type { LaidPlan } from '../fill/layPlan.ts';
import type { PlanBodies, PlanColours } from '../ombre/coloursOf.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Weights } from '../weigh/weights.ts';

/** What is computed from a plan, before any judgement of it. */
export interface Facts extends LaidPlan {
  readonly cut: BarCut;
  readonly weights: Weights | undefined;
  /** the mixes of the pours that belong to an ombre: after rounding, or as wanted while there are no weights */
  readonly graded: ReadonlyMap<string, Mix>;
  /** as the bar is and looks when it has cured */
  readonly bodies: PlanBodies;
  readonly colours: PlanColours;
}
