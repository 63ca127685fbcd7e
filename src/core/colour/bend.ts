import { bodyOfHex, labOfBody, type Body } from './body.ts';
import { difference } from './difference.ts';
import type { Bend, Pigment } from './pigment.ts';
import { tint } from './pigment.ts';

/** A test bar's power outside these is a slip of the pen or of the camera. */
const LEAST = 0.4;
const MOST = 3;

/** Golden-section steps: each keeps 0.618 of the way, forty of them a hundred-millionth. */
const STEPS = 40;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The bend that takes a pigment through a second test bar: the strength is sought at which it comes nearest
 * to the pale bar's colour, and the power that gives it at the pale dose. `pale.doseGPerKg` is below
 * `fullGPerKg`.
 */
export function bendThrough(
  pigment: Pigment,
  base: Body,
  fullGPerKg: number,
  pale: { readonly colour: string; readonly doseGPerKg: number },
): Bend {
  const wanted = labOfBody(bodyOfHex(pale.colour));
  const miss = (logStrength: number): number =>
    difference(wanted, labOfBody(tint(base, [{ pigment, doseGPerKg: Math.exp(logStrength) }])));
  const way = Math.log(pale.doseGPerKg / fullGPerKg);
  let low = Math.log(fullGPerKg) + MOST * way;
  let high = Math.log(fullGPerKg) + LEAST * way;
  for (let i = 0; i < STEPS; i += 1) {
    const a = high - GOLDEN * (high - low);
    const b = low + GOLDEN * (high - low);
    if (miss(a) < miss(b)) high = b;
    else low = a;
  }
  return { fullGPerKg, power: ((low + high) / 2 - Math.log(fullGPerKg)) / way };
}
