import type { HappenedByPour } from '../batch/happened.ts';
import type { Timetable } from '../clock/timetable.ts';
import type { Day } from '../day/act.ts';
import type { BarCut } from '../cut/bars.ts';
import type { PlanBodies, PlanColours } from '../ombre/coloursOf.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { WeighedPart } from '../fill/topMass.ts';
import type { ScaledMould, ScaledPlan } from '../weigh/scaled.ts';
import type { Weights } from '../weigh/weights.ts';

/** One mould as it is poured, and what it gives when it is cut. */
export interface MouldFacts extends ScaledMould {
  readonly cut: BarCut;
  /** what is put on top of one of it */
  readonly tops: readonly WeighedPart[];
}

/** A whole plan laid, with what every mould gives when it is cut. */
export interface PlanInBars extends ScaledPlan {
  /** of the first mould */
  readonly cut: BarCut;
  readonly tops: readonly WeighedPart[];
  readonly moulds: readonly [MouldFacts, ...MouldFacts[]];
}

/** What is computed from a plan, before any judgement of it. */
export interface Facts extends PlanInBars {
  /** what was really done otherwise than planned */
  readonly happened: HappenedByPour;
  /** everything that is done, in order */
  readonly day: Day;
  readonly weights: Weights | undefined;
  /**
   * the mixes of the pours that belong to an ombre: after rounding, or as wanted while there are no weights
   */
  readonly graded: ReadonlyMap<string, Mix>;
  /** as the bar is and looks when it has cured */
  readonly bodies: PlanBodies;
  readonly colours: PlanColours;
  /** when everything is done; undefined while nothing is known of its batter */
  readonly clock: Timetable | undefined;
}

/** The same facts with one of the moulds in the place of the first: its own plan, fill, layers and cut. */
export const factsIn = <F extends PlanInBars>(
  facts: F,
  { plan, geometry, fill, stack, cut, tops }: MouldFacts,
): F =>
  facts.stack === stack && facts.plan === plan ? facts : { ...facts, plan, geometry, fill, stack, cut, tops };
