import { bodyOfHex, type Body } from './body.ts';
import { BANDS } from './observer.ts';

/** What one gram of a colorant in a kilogram of batter adds to its absorption and scattering. */
export interface Pigment {
  readonly k: Float64Array;
  readonly s: number;
  /** how its strength rises with the dose; absent: in proportion */
  readonly bend?: Bend;
}

/**
 * A colorant known at a full and a pale dose. Up to the full dose c its strength is that of full (c /
 * full)^power grams: an assumed form, through both test bars. Above 1: little of it colours less than in
 * proportion, as it does in raw batter where fine powder clings together. Beyond the full dose it rises in
 * proportion again.
 */
export interface Bend {
  readonly fullGPerKg: number;
  readonly power: number;
}

/** The dose that would colour as much if strength were in proportion, g/kg. */
export const strengthOf = ({ bend }: Pigment, doseGPerKg: number): number =>
  !bend || doseGPerKg <= 0 || doseGPerKg >= bend.fullGPerKg
    ? doseGPerKg
    : bend.fullGPerKg * (doseGPerKg / bend.fullGPerKg) ** bend.power;

/**
 * The pigment that turns `base` into `hex` at `doseGPerKg`. Where the colour is lighter than the base in any
 * band no absorption can bring it there: the pigment then scatters, just enough that no band needs less than
 * none (a white is almost all scattering). Mixtures are K = K_base + sum c k, S = S_base + sum c s (Duncan,
 * "The colour of pigment mixtures", Proceedings of the Physical Society 1940, from memory).
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
    const strength = strengthOf(pigment, doseGPerKg);
    for (let i = 0; i < BANDS; i += 1) k[i] = (k[i] as number) + strength * (pigment.k[i] as number);
    s += strength * pigment.s;
  }
  return { k, s };
}
