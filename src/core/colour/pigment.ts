import { bodyOfHex, type Body } from './body.ts';
import { BANDS } from './observer.ts';

/** What one gram of a colorant in a kilogram of batter adds to its absorption and scattering. */
export interface Pigment {
  readonly k: Float64Array;
  readonly s: number;
}

/**
 * The pigment that turns `base` into `hex` at `doseGPerKg`. Where the colour is lighter than the base in any band no
 * absorption can bring it there: the pigment then scatters, just enough that no band needs less than none (a white
 * is almost all scattering). Mixtures are K = K_base + sum c k, S = S_base + sum c s (Duncan, "The colour of pigment
 * mixtures", Proceedings of the Physical Society 1940, from memory).
 */
export function pigmentFor(hex: string, doseGPerKg: number, base: Body): Pigment {
  const wanted = bodyOfHex(hex).k;
  let lift = 1;
  for (let i = 0; i < BANDS; i += 1)
    lift = Math.max(lift, (base.k[i] as number) / base.s / (wanted[i] as number));
  const s = base.s * lift;
  return {
    k: wanted.map((q, i) => Math.max(0, q * s - (base.k[i] as number)) / doseGPerKg),
    s: (s - base.s) / doseGPerKg,
  };
}

/** A base with pigments at their doses, g per kg of batter. */
export function tint(
  base: Body,
  doses: readonly { readonly pigment: Pigment; readonly doseGPerKg: number }[],
): Body {
  const k = Float64Array.from(base.k);
  let { s } = base;
  for (const { pigment, doseGPerKg } of doses) {
    for (let i = 0; i < BANDS; i += 1) k[i] = (k[i] as number) + doseGPerKg * (pigment.k[i] as number);
    s += doseGPerKg * pigment.s;
  }
  return { k, s };
}
