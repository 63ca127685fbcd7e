import { hexOfLinear } from './hex.ts';
import { labOfLinear, type Lab } from './lab.ts';
import { linearOf } from './linear.ts';
import { BANDS } from './observer.ts';
import { reflectanceOf } from './reflectance.ts';

/**
 * Something opaque enough that its back does not show: absorption K in each of 36 bands, and scattering S,
 * the same in all of them. Only K / S shows; plain batter has S = 1. (Kubelka & Munk, "Ein Beitrag zur Optik
 * der Farbanstriche", Zeitschrift für technische Physik 1931, from memory.)
 */
export interface Body {
  readonly k: Float64Array;
  readonly s: number;
}

/** K / S of an opaque layer that reflects R (0..1): (1 - R)^2 / 2R. */
export const ksOfReflectance = (r: number): number => (1 - r) ** 2 / (2 * r);

/** Reflectance of an opaque layer with this K / S: 1 + q - sqrt(q^2 + 2q). */
export const reflectanceOfKs = (q: number): number => 1 + q - Math.sqrt(q * q + 2 * q);

/** A body of scattering 1 that has this colour. */
export const bodyOfHex = (hex: string): Body => ({ k: reflectanceOf(hex).map(ksOfReflectance), s: 1 });

const curveOf = ({ k, s }: Body): Float64Array => k.map((x) => reflectanceOfKs(x / s));

export const labOfBody = (body: Body): Lab => labOfLinear(linearOf(curveOf(body)));

export const hexOfBody = (body: Body): string => hexOfLinear(linearOf(curveOf(body)));

/** Bodies stirred together, each with its part of the mass. Parts need not add up to 1. */
export function stir(parts: readonly { readonly body: Body; readonly part: number }[]): Body {
  const whole = parts.reduce((sum, p) => sum + p.part, 0);
  const k = new Float64Array(BANDS);
  let s = 0;
  for (const { body, part } of parts) {
    const share = part / whole;
    for (let i = 0; i < BANDS; i += 1) k[i] = (k[i] as number) + share * (body.k[i] as number);
    s += share * body.s;
  }
  return { k, s };
}
