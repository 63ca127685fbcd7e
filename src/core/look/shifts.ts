import { remembered } from '../task/remembered.ts';
import { bodyOfHex, type Body } from '../colour/body.ts';
import { bendThrough } from '../colour/bend.ts';
import { pigmentFor, type Bend, type Pigment } from '../colour/pigment.ts';
import { CREAM } from '../colorant/cream.ts';
import type { Nature } from '../colorant/schema.ts';
import type { SoapState } from './state.ts';

/*
 * What happens to colours after the pour. All strengths here are estimates from common practice, no source.
 */

/**
 * Scattering of the plain soap against a cured bar's: gelled soap is more translucent, fresh soap a little.
 */
function scattering({ age, heat }: SoapState): number {
  if (age === 'pour') return 1.05;
  return (heat > 0 ? 0.72 : 1) * (age === 'cut' ? 0.92 : 1);
}

/** Absorption of the plain soap against a cured bar's: raw batter is yellower and bleaches as it cures. */
const ABSORPTION = { pour: 1.5, cut: 1.15, cured: 1 } as const;

/** Part of the tan that has come: none at the pour, some at the cut, all of it after weeks. */
const TANNED = { pour: 0, cut: 0.35, cured: 1 } as const;

/** Fragrance with 5 % vanillin at 30 g/kg tans a plain bar to a middling brown. */
const TAN: Pigment = pigmentFor('#96673f', 1.5, bodyOfHex(CREAM));

/** The plain batter as it looks in a state, tanned by `vanillinGPerKg` of vanillin. */
export function shiftedBase(plain: Body, state: SoapState, vanillinGPerKg: number): Body {
  const tan = state.scented ? vanillinGPerKg * TANNED[state.age] : 0;
  return {
    k: plain.k.map((k, i) => k * ABSORPTION[state.age] + tan * (TAN.k[i] ?? 0)),
    s: plain.s * scattering(state),
  };
}

/** Of one that fades altogether nothing could be told from its bar. */
const LEAST_LEFT = 0.1;

/**
 * How a colorant's strength rises with its dose, from its two test bars; sought once for each description.
 */
export const bendOf = remembered(({ pale, doseGPerKg, colour, base: hex }: Nature): Bend | undefined => {
  if (!pale) return undefined;
  const base = bodyOfHex(hex);
  return bendThrough(pigmentFor(colour, doseGPerKg, base), base, doseGPerKg, pale);
});

/**
 * A colorant's pigment as it is in a state: morphed while fresh, paled by the oven, stronger until the cure
 * has faded it to what its test bar shows.
 */
export function shiftedPigment(nature: Nature, state: SoapState): Pigment {
  const fresh = state.age === 'pour';
  const morphed = nature.morph && (fresh || !nature.morph.returns);
  const plain = pigmentFor(
    morphed && nature.morph ? nature.morph.colour : nature.colour,
    nature.doseGPerKg,
    bodyOfHex(nature.base),
  );
  const bend = bendOf(nature);
  const pigment = bend ? { ...plain, bend } : plain;
  // its test bar has cured: before it fades it is so much stronger
  const faded = Math.max(LEAST_LEFT, 1 - nature.fadesPercent / 100);
  const left =
    (fresh ? 1 : 1 - (nature.palesPercent / 100) * state.heat) * (state.age === 'cured' ? 1 : 1 / faded);
  return left === 1 ? pigment : { ...pigment, k: pigment.k.map((k) => k * left) };
}
