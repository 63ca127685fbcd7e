import { constantFrom, coolsIn, usualConstant, USUAL_ROOM_C } from '../batter/cooling.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Celsius, Grams, Minutes } from '../units/quantity.ts';

/** What a thermometer showed in the lye, minutes after it was dissolved. */
interface Shown {
  readonly min: Minutes;
  readonly celsius: Celsius;
}

export interface LyeCools {
  readonly toC: Celsius;
  /** as it is taken to be now */
  readonly nowC: Celsius;
  /** so long until then; 0: it is there; undefined: the room is no cooler */
  readonly inMin: Minutes | undefined;
  /** by two readings, and not by a usual jug */
  readonly measured: boolean;
}

/** It is near the mark from then on: so long before, or so many degrees above. Judgements. */
const NEAR = { min: 3, celsius: 3 } as const;

export const isNear = ({ inMin, nowC, toC }: LyeCools): boolean =>
  (inMin !== undefined && inMin <= NEAR.min) || nowC - toC <= NEAR.celsius;

/**
 * How lye cools that was dissolved so many minutes ago: by the last two readings where they tell, by the last
 * one and a usual jug, or from what it heats to. Newton's law of cooling.
 */
export function lyeCools(
  plan: Plan,
  { peakC, solutionG }: { readonly peakC: Celsius; readonly solutionG: Grams },
  shown: readonly Shown[],
  now: Minutes,
): LyeCools {
  const roomC = plan.clock.cooling?.roomC ?? USUAL_ROOM_C;
  const toC = plan.batter.temperatures.lyeC;
  const last = shown.at(-1);
  const first = shown.at(-2);
  const measured = first && last && constantFrom(first, last, roomC);
  const constant = measured ?? usualConstant(solutionG);
  const from: Shown = last ?? { min: 0, celsius: peakC };
  const nowC = roomC + (from.celsius - roomC) * Math.exp(-(now - from.min) / constant);
  const took = coolsIn(from.celsius, toC, roomC, constant);
  return {
    toC,
    nowC,
    inMin: took === undefined ? undefined : Math.max(0, took + from.min - now),
    measured: measured !== undefined,
  };
}
