import { blendTemperature } from '../batter/blendTemperature.ts';
import { solutionPerOil, type Recipe } from '../batter/recipe.ts';
import type { Batter } from '../batter/schema.ts';
import type { PlanClock } from '../plan/clockSchema.ts';
import type { Celsius, Minutes, Percent } from '../units/quantity.ts';
import { recipeRate, recipeRateSd } from './recipeRate.ts';
import { knownSd, TOLD_SD } from './scents.ts';

/** How fast plain batter thickens, and what that rests on. */
export interface Speed {
  /** stages a minute, as it stands in the jug */
  readonly perMinute: number;
  /** at 38 C with 30 % lye */
  readonly atRest: number;
  /** typed by the maker, learned in earlier batches, or estimated from the oils */
  readonly origin: 'given' | 'known' | 'estimated';
  /** how far that is out, and what the batter's temperature makes of it: standard deviations of logarithms */
  readonly sd: number;
  readonly warmthSd: number;
  readonly batterC: Celsius;
  /** by the thermometer, or worked out from oils and lye */
  readonly measured: boolean;
  readonly lyePercent: Percent;
}

/** What a rate is said at. */
const AT_C = 38;
const AT_LYE = 30;

/** Twice as fast for so many degrees more. Common practice, no source. */
const DOUBLES_C = 10;

const LYE_POWER = 1.5;

/** What temperature does to the rate is in doubt by so much of it. A judgement. */
const TEMPERED_SD = 0.4;

/**
 * A rate said at 38 C and 30 % lye, as it is at other conditions: x 2^((T - 38) / 10) x (lye / 30 %)^1.5. An
 * estimate.
 */
export const rateAt = (atRest: number, batterC: Celsius, lyePercent: Percent): number =>
  atRest * 2 ** ((batterC - AT_C) / DOUBLES_C) * (lyePercent / AT_LYE) ** LYE_POWER;

/** From light to medium it is a stage: minutes at the batter's own conditions, unscented in its jug. */
export const toMediumMin = ({ perMinute }: Pick<Speed, 'perMinute'>): Minutes => 1 / perMinute;

/**
 * The rate of a recipe, said as ever, that takes so many minutes from light to medium at the same conditions.
 */
export const rateToMedium = (
  { batterC, lyePercent }: Pick<Speed, 'batterC' | 'lyePercent'>,
  minutes: Minutes,
): number => 1 / (minutes * rateAt(1, batterC, lyePercent));

/**
 * How fast the batter of a recipe thickens; undefined where there is no oil. The batter is taken to keep its
 * temperature.
 */
export function speedOf(
  batter: Pick<Batter, 'oils' | 'temperatures'>,
  recipe: Recipe,
  clock: PlanClock,
): Speed | undefined {
  const atRest = clock.perMinute ?? clock.known?.value ?? recipeRate(batter);
  if (atRest === undefined) return undefined;
  const batterC =
    clock.batterC ?? blendTemperature({ oilsG: 1, solutionG: solutionPerOil(recipe) }, batter.temperatures);
  const lyePercent = recipe.schools.lyeConcentrationPercent;
  const { perMinute, known } = clock;
  return {
    perMinute: rateAt(atRest, batterC, lyePercent),
    atRest,
    origin: perMinute !== undefined ? 'given' : known ? 'known' : 'estimated',
    sd: perMinute !== undefined ? TOLD_SD : known ? knownSd(known) : recipeRateSd(batter),
    warmthSd: TEMPERED_SD * Math.abs(Math.log(rateAt(1, batterC, AT_LYE))),
    batterC,
    measured: clock.batterC !== undefined,
    lyePercent,
  };
}
