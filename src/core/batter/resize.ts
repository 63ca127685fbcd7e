import type { Grams } from '../units/quantity.ts';
import { downToStep, roundParts, sumAtStep, upToStep } from '../units/scaleStep.ts';

/** What one jug of a resized recipe takes, at the scale's step. */
export interface ResizedJug {
  readonly oilsG: readonly Grams[];
  readonly lyeG: Grams;
  readonly waterG: Grams;
}

/** A recipe at another size, as so many equal jugs. */
export interface Resized {
  readonly jug: ResizedJug;
  /** all jugs together: what is weighed, so the jugs' sum and not a rounding of its own */
  readonly all: ResizedJug;
}

/**
 * A recipe of given shares of `oilsG` in all, divided into `jugs` alike. Lye is rounded down in each, water
 * up, oils to the nearest step so that they add up.
 */
export function resized(
  shares: readonly number[],
  oilsG: Grams,
  perOil: { readonly lye: number; readonly water: number },
  jugs: number,
  stepG: Grams,
): Resized {
  const eachG = oilsG / jugs;
  const oils = roundParts(
    shares.map((s) => s * eachG),
    stepG,
  );
  const weighedG = oils.reduce((s, g) => s + g, 0);
  const jug: ResizedJug = {
    oilsG: oils,
    lyeG: downToStep(perOil.lye * weighedG, stepG),
    waterG: upToStep(perOil.water * weighedG, stepG),
  };
  const times = (g: Grams): Grams => sumAtStep([g * jugs], stepG);
  return {
    jug,
    all: { oilsG: oils.map(times), lyeG: times(jug.lyeG), waterG: times(jug.waterG) },
  };
}
