import { reflectanceOfKs, stir, type Body } from './body.ts';
import { difference } from './difference.ts';
import { labOfLinear, type Lab } from './lab.ts';
import { TO_LINEAR } from './linear.ts';
import { BANDS } from './observer.ts';
import { strengthOf, tint, type Pigment } from './pigment.ts';

/**
 * The way from one body to another as the doses go evenly from the first's to the last's: t = 0 the first, t
 * = 1 the last. The eye does not see it evenly: `at` turns a part of the *seen* way (0..1) into t.
 */
export interface Ramp {
  readonly bodyAt: (t: number) => Body;
  readonly labAt: (t: number) => Lab;
  readonly at: (seen: number) => number;
  /** length of the seen way: the sum of its small differences */
  readonly length: number;
}

/**
 * `labOfBody` of a mix of two bodies without making the mix: this runs some thousands of times for one strip.
 */
function labBetween(from: Body, to: Body): (t: number) => Lab {
  const [red, green, blue] = TO_LINEAR;
  return (t) => {
    const s = from.s + t * (to.s - from.s);
    let r = 0;
    let g = 0;
    let b = 0;
    for (let i = 0; i < BANDS; i += 1) {
      const k = from.k[i] as number;
      const x = reflectanceOfKs((k + t * ((to.k[i] as number) - k)) / s);
      r += (red[i] as number) * x;
      g += (green[i] as number) * x;
      b += (blue[i] as number) * x;
    }
    return labOfLinear([r, g, b]);
  };
}

/** `labOfBody` of a base tinted along the way, without making the body. */
function labOfDoses(base: Body, doses: readonly RampDose[]): (t: number) => Lab {
  const [red, green, blue] = TO_LINEAR;
  const strengths = new Float64Array(doses.length);
  return (t) => {
    let { s } = base;
    for (const [j, { pigment, fromGPerKg, toGPerKg }] of doses.entries()) {
      const strength = strengthOf(pigment, fromGPerKg + t * (toGPerKg - fromGPerKg));
      strengths[j] = strength;
      s += strength * pigment.s;
    }
    let r = 0;
    let g = 0;
    let b = 0;
    for (let i = 0; i < BANDS; i += 1) {
      let k = base.k[i] as number;
      for (let j = 0; j < strengths.length; j += 1)
        k += (strengths[j] as number) * ((doses[j] as RampDose).pigment.k[i] as number);
      const x = reflectanceOfKs(k / s);
      r += (red[i] as number) * x;
      g += (green[i] as number) * x;
      b += (blue[i] as number) * x;
    }
    return labOfLinear([r, g, b]);
  };
}

const NODES = 96;

/** The first grams colour the most: nodes stand closest at the pale end, whichever end that is. */
const nodesFrom = (paleFirst: boolean): readonly number[] =>
  Array.from({ length: NODES + 1 }, (_, i) => {
    const u = i / NODES;
    return paleFirst ? u ** 3 : 1 - (1 - u) ** 3;
  });

/** The way from one body to another as they are stirred together in changing parts. */
export const rampOf = (from: Body, to: Body): Ramp =>
  rampAlong(
    (t) =>
      stir([
        { body: from, part: 1 - t },
        { body: to, part: t },
      ]),
    labBetween(from, to),
  );

/** One colorant along a ramp: its doses at both ends, g/kg. */
export interface RampDose {
  readonly pigment: Pigment;
  readonly fromGPerKg: number;
  readonly toGPerKg: number;
}

/**
 * The way between two mixes in one base, dose by dose: where strength is not in proportion to the dose it
 * bends too.
 */
export function rampOfDoses(base: Body, doses: readonly RampDose[]): Ramp {
  const at = (t: number): { pigment: Pigment; doseGPerKg: number }[] =>
    doses.map(({ pigment, fromGPerKg, toGPerKg }) => ({
      pigment,
      doseGPerKg: fromGPerKg + t * (toGPerKg - fromGPerKg),
    }));
  if (doses.every((d) => d.pigment.bend === undefined || d.fromGPerKg === d.toGPerKg))
    return rampOf(tint(base, at(0)), tint(base, at(1)));
  return rampAlong((t) => tint(base, at(t)), labOfDoses(base, doses));
}

function rampAlong(bodyAt: (t: number) => Body, labAt: (t: number) => Lab): Ramp {
  const from = bodyAt(0);
  const to = bodyAt(1);
  const weight = (body: Body): number => body.k.reduce((a, b) => a + b, 0) / body.s;
  const nodes = nodesFrom(weight(from) <= weight(to));
  const seen = [0];
  let last = labAt(0);
  for (const t of nodes.slice(1)) {
    const here = labAt(t);
    seen.push((seen.at(-1) ?? 0) + difference(last, here));
    last = here;
  }
  const whole = seen.at(-1) ?? 0;
  const at = (part: number): number => {
    if (part <= 0 || whole === 0) return Math.max(0, part);
    if (part >= 1) return 1;
    const wanted = part * whole;
    let low = 0;
    let high = NODES;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((seen[middle] as number) <= wanted) low = middle;
      else high = middle;
    }
    const a = seen[low] as number;
    const b = seen[high] as number;
    const inner = b > a ? (wanted - a) / (b - a) : 0;
    return (nodes[low] as number) + inner * ((nodes[high] as number) - (nodes[low] as number));
  };
  return { bodyAt, labAt, at, length: whole };
}
