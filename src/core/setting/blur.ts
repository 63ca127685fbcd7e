import type { Millimetres, Stage } from '../units/quantity.ts';
import { plungeOf, pressureOf, sinksTo, stageOfBearing } from './plunge.ts';

/**
 * Of the depth that a pour sinks through, so much is the border rough by: poured over all of the surface, and
 * laid in place by the spoon. Judgements, no source.
 */
const ROUGH = { stream: 0.3, low: 0.3, spatula: 0.3, spoon: 0.1 } as const;

/**
 * Batter that bears less than one part in so many of what lands on it lets it sink, however little is below.
 * Common practice, no source: over a spatula below 0.7.
 */
const SINKS_AT = 1 / 8.6;

/**
 * A stream that lies down on what carries it still moves so much of the depth; one that goes through moves
 * half.
 */
const LIES = sinksTo(6);
const THROUGH = sinksTo(1);

/** How a level pour meets what it lands on. */
export interface Meets {
  readonly how: keyof typeof ROUGH;
  /** the fall in effect */
  readonly fallMm: Millimetres;
  readonly densityGMl: number;
  /** of what is fluid there */
  readonly depthMm: Millimetres;
}

/**
 * How rough the border is that a level pour leaves on batter of a stage, mm either way of where it would lie:
 * 0 where that carries it, and as the fall goes to 0. Its amplitude is a part of the depth that is fluid
 * there, by how far the stream sinks beyond lying down (section "fluid on fluid" of this product's own
 * models; a judgement).
 */
export function blurOn(stage: Stage, { how, fallMm, densityGMl, depthMm }: Meets): Millimetres {
  const sinks = sinksTo(plungeOf(stage, fallMm, densityGMl));
  return ROUGH[how] * depthMm * (THROUGH / (THROUGH - LIES)) * Math.max(0, sinks - LIES);
}

/**
 * The stage at which the border is rough by just so much, 0 for none; -Infinity where even water would leave
 * it smoother.
 */
function stageToBlur(blurMm: Millimetres, { how, fallMm, densityGMl, depthMm }: Meets): Stage {
  const sinks = LIES + (blurMm / (ROUGH[how] * depthMm)) * ((THROUGH - LIES) / THROUGH);
  if (!(sinks < THROUGH)) return -Infinity;
  // sinks = 1 - 0.5^(1/n), n = 1 + 5 bearing / pressure
  const plunge = Math.log(0.5) / Math.log(1 - sinks);
  return stageOfBearing(((plunge - 1) / 5) * pressureOf(fallMm, densityGMl));
}

/**
 * The stage at which what lies there carries a pour: it does not sink, and the border is no rougher than is
 * fine.
 */
export const stageToCarryWithin = (fineMm: Millimetres, meets: Meets): Stage =>
  Math.max(
    0,
    stageOfBearing(SINKS_AT * pressureOf(meets.fallMm, meets.densityGMl)),
    stageToBlur(fineMm, meets),
  );

/** How rough the border of two layers may be, the thinner of them so thick: rougher, they run together. */
export const roughestApart = (thinnerMm: Millimetres): Millimetres => thinnerMm / 2;

/** Below this stage a pour and what it lands on run together. */
export const stageToStayApart = (thinnerMm: Millimetres, meets: Meets): Stage =>
  stageToBlur(roughestApart(thinnerMm), meets);

/**
 * How rough a border is, as it is told: to half a millimetre. `length` says a length in the maker's units.
 */
export const blurPhrase = (blurMm: Millimetres, length: (mm: Millimetres) => string): string =>
  `rough by ${blurMm < 0.5 ? `less than ${length(0.5)}` : `≈ ${length(Math.round(blurMm * 2) / 2)}`} either way`;
