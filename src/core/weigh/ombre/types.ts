import type { StepId } from '../../validate/ids.ts';
import type { Pass } from '../../ombre/onePot.ts';
import type { Shade } from '../../ombre/shades.ts';
import type { Mix, Ombre } from '../../plan/ombreSchema.ts';
import type { Pot } from '../../plan/planSchema.ts';
import type { Grams } from '../../units/quantity.ts';
import type { Weight } from '../ingredients.ts';

/** What an ombre needs to know of a weighed pot. */
export interface WeighedPot {
  readonly pot: Pot;
  readonly batterG: Grams;
  readonly pours: readonly { readonly stepId: StepId; readonly massG: Grams }[];
}

/** One layer of an ombre as it comes out of the scales. */
export interface OmbreLayer {
  readonly shade: Shade;
  readonly pot: Pot;
  readonly plannedG: Grams;
  /** after what was really poured before it */
  readonly pouredG: Grams;
  /** colorants in it after rounding, g/kg */
  readonly mix: Mix;
}

export interface PotPasses {
  readonly pot: Pot;
  readonly startG: Grams;
  readonly plainG: Grams;
  readonly passes: readonly (Pass & { readonly pourId: StepId; readonly colorants: readonly Weight[] })[];
}

export interface Stock {
  readonly name: string;
  /**
   * batter, or mixed oils where portions are made ready before the lye: weighed before its colorants go in
   */
  readonly massG: Grams;
  /** with its colorants and what they are dispersed in */
  readonly totalG: Grams;
  readonly colorants: readonly Weight[];
}

export interface BlendDraw {
  readonly pot: Pot;
  readonly pourId: StepId;
  readonly lastG: Grams;
  readonly firstG: Grams;
}

export interface Common {
  readonly ombre: Ombre;
  readonly layers: readonly OmbreLayer[];
  /** pours that cannot be had this way, and why */
  readonly fault: { readonly pourId: StepId; readonly message: string } | undefined;
}

export type OmbreWeights = Common &
  (
    | { readonly school: 'one-pot'; readonly pots: readonly PotPasses[] }
    | {
        readonly school: 'master-blends';
        readonly of: 'batter' | 'oils';
        readonly last: Stock;
        readonly first: Stock;
        readonly draws: readonly BlendDraw[];
      }
    | {
        readonly school: 'separate-pots';
        readonly pots: readonly { readonly pot: Pot; readonly colorants: readonly Weight[] }[];
      }
  );
