import type { Celsius, Grams, Minutes } from '../units/quantity.ts';

/**
 * A jug of 600 g of lye solution loses two thirds of its heat above the room in so long. An estimate; a
 * thermometer is better.
 */
const USUAL_MIN: Minutes = 40;
const USUAL_G: Grams = 600;

export const USUAL_ROOM_C: Celsius = 20;

/** What a thermometer showed, minutes after the lye was dissolved. */
export interface Reading {
  readonly min: Minutes;
  readonly celsius: Celsius;
}

/**
 * The time constant of so much solution, minutes: more of it has less surface for its mass, so by the cube
 * root of its mass. An estimate.
 */
export const usualConstant = (solutionG: Grams): Minutes => USUAL_MIN * Math.cbrt(solutionG / USUAL_G);

/**
 * The time constant of Newton's law of cooling, T = room + (T0 - room) exp(-t / tau), from two readings;
 * undefined where they tell nothing: at the room's temperature or below it, or not falling.
 */
export function constantFrom(first: Reading, second: Reading, roomC: Celsius): Minutes | undefined {
  const [a, b] = first.min <= second.min ? [first, second] : [second, first];
  const fall = (a.celsius - roomC) / (b.celsius - roomC);
  return b.celsius > roomC && fall > 1 && b.min > a.min ? (b.min - a.min) / Math.log(fall) : undefined;
}

/**
 * How long after `from` it is at `targetC`; 0 where it is cooler already, undefined where it never is: the
 * room is no cooler.
 */
export function coolsIn(
  fromC: Celsius,
  targetC: Celsius,
  roomC: Celsius,
  constantMin: Minutes,
): Minutes | undefined {
  if (targetC >= fromC) return 0;
  return targetC > roomC ? constantMin * Math.log((fromC - roomC) / (targetC - roomC)) : undefined;
}
