import { hexOfBody } from '../colour/body.ts';
import { difference } from '../colour/difference.ts';
import type { Lab } from '../colour/lab.ts';
import type { Ramp } from '../colour/ramp.ts';
import { curveWeights, equalDose, evenSteps, halving, weightedSteps } from '../colour/spacing.ts';
import type { Spacing } from '../plan/ombreSchema.ts';

/** Places of `layers` layers on a ramp, each 0 (the first colour) to 1 (the last), rising. */
export function placesOn(ramp: Ramp, spacing: Spacing, layers: number): readonly number[] {
  if (layers < 2) return [0];
  switch (spacing.kind) {
    case 'even':
      return evenSteps(ramp, layers);
    case 'equal-dose':
      return equalDose(layers);
    case 'halving':
      return halving(layers);
    case 'curve':
      return weightedSteps(ramp, curveWeights(spacing.heights, layers));
  }
}

/** Shades side by side with the differences of neighbours. */
export interface Strip {
  readonly colours: readonly string[];
  /** CIEDE2000 of each pair of neighbours: one fewer than the colours */
  readonly differences: readonly number[];
}

export const differencesOf = (labs: readonly Lab[]): number[] =>
  labs.slice(1).map((lab, i) => difference(labs[i] as Lab, lab));

export const stripOf = (ramp: Ramp, places: readonly number[]): Strip => ({
  colours: places.map((t) => hexOfBody(ramp.bodyAt(t))),
  differences: differencesOf(places.map(ramp.labAt)),
});
