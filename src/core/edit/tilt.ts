import type { StepId } from '../validate/ids.ts';
import { LEVEL, sameTilt, STEEPEST_DEG, tiltOfDrop, type Tilt } from '../mould/tilt.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { wallPoint } from '../fill/wallPoints.ts';
import type { Room } from '../mould/rooms.ts';
import { fail, ok, type Result } from '../result/result.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Pour, Step } from '../plan/stepSchema.ts';
import { freshId } from './freshId.ts';
import { setAmount } from './pours.ts';

const tiltStep = (steps: readonly Step[], { rollDeg, pitchDeg }: Tilt): Step => ({
  id: freshId('t', steps),
  kind: 'tilt',
  rollDeg,
  pitchDeg,
});

/** Take out tilts that change nothing: to the tilt the mould has already. */
function withoutIdleTilts(steps: readonly Step[]): Step[] {
  let now: Tilt = LEVEL;
  return steps.filter((s) => {
    if (s.kind !== 'tilt') return true;
    const idle = sameTilt(s, now);
    now = s;
    return !idle;
  });
}

/**
 * Stand the mould at `tilt` from this pour on, up to the next tilt. A tilt already made for this pour (since
 * the pour before it) is changed; otherwise one is put right before the pour.
 */
export function setTilt(plan: Plan, pourId: StepId, tilt: Tilt): Plan {
  const at = plan.steps.findIndex((s) => s.id === pourId);
  if (at < 0) return plan;
  const previous = plan.steps.findLastIndex((s, i) => i < at && s.kind === 'pour');
  const own = plan.steps.findLastIndex((s, i) => i < at && i > previous && s.kind === 'tilt');
  const steps =
    own >= 0
      ? plan.steps.with(own, { ...tiltStep(plan.steps, tilt), id: (plan.steps[own] as Step).id })
      : plan.steps.toSpliced(at, 0, tiltStep(plan.steps, tilt));
  return { ...plan, steps: withoutIdleTilts(steps) };
}

/** The last pour made level, whatever the ones before it are. */
export function finishLevel(plan: Plan): Plan {
  const last = plan.steps.findLast((s) => s.kind === 'pour');
  return last ? setTilt(plan, last.id, LEVEL) : plan;
}

/**
 * The loaf ends level: its last pour is made so where others slope below it; where it is the only one at the
 * last tilt, all is set level while it is fluid.
 */
export function endLevel(plan: Plan): Plan {
  const turned = plan.steps.findLastIndex((s) => s.kind === 'tilt');
  const after = plan.steps.slice(turned + 1).filter((s) => s.kind === 'pour');
  return after.length > 1 ? finishLevel(plan) : settleAtEnd(plan);
}

/** The mould set level, by this step, while what lies in it is fluid, or once it has set. */
export const setWhileFluid = (plan: Plan, tiltId: StepId, fluid: boolean): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => {
    if (s.kind !== 'tilt' || s.id !== tiltId) return s;
    const { fluid: _was, ...tilt } = s;
    return fluid ? { ...tilt, fluid: true } : tilt;
  }),
});

/**
 * The mould set level once all of it is in and drawn through, while it is fluid: what lies in it runs level.
 */
export function settleAtEnd(plan: Plan): Plan {
  const last = plan.steps.findLast((s) => s.kind !== 'finish');
  const at = last ? plan.steps.indexOf(last) + 1 : 0;
  return {
    ...plan,
    steps: plan.steps.toSpliced(at, 0, {
      ...tiltStep(plan.steps, LEVEL),
      kind: 'tilt',
      ...LEVEL,
      fluid: true,
    }),
  };
}

/**
 * All pours level, each holding the volume it has now: heights and marks become parts of the whole, for they
 * mean something else at another tilt.
 */
export const levelAll = (plan: Plan, layers: readonly PouredLayer[]): Plan => ({
  ...plan,
  steps: plan.steps
    .filter((s) => s.kind !== 'tilt')
    .map((s) => {
      const layer = layers.find((l) => l.pour.id === s.id);
      return s.kind === 'pour' && layer && s.amount.kind !== 'mass' && s.amount.kind !== 'percent'
        ? { ...s, amount: { kind: 'rest', parts: Math.max(0.001, layer.volumeMl) } }
        : s;
    }),
});

/** Which way a run of tilts goes: along a long edge (roll) or along an end (pitch). */
export type Along = 'edge' | 'end';

const tiltAlong = (along: Along, degrees: number): Tilt =>
  along === 'edge' ? { rollDeg: degrees, pitchDeg: 0 } : { rollDeg: 0, pitchDeg: degrees };

/** Alternate slants: pours tilted to one side and the other in turn, the last one level. */
export function zigzag(plan: Plan, layers: readonly PouredLayer[], along: Along, degrees: number): Plan {
  let slanted = levelAll(plan, layers);
  for (const [i, layer] of layers.entries()) {
    const last = i === layers.length - 1;
    slanted = setTilt(
      slanted,
      layer.pour.id,
      last ? LEVEL : tiltAlong(along, i % 2 === 0 ? degrees : -degrees),
    );
  }
  return slanted;
}

/**
 * Chevrons: every pour but the last is made in two halves, one with each side lifted, so that its surface is
 * a V; the last one is level.
 */
export function chevrons(plan: Plan, layers: readonly PouredLayer[], along: Along, degrees: number): Plan {
  const level = levelAll(plan, layers);
  const lastId = layers.at(-1)?.pour.id;
  const steps: Step[] = [];
  for (const step of level.steps) {
    if (step.kind !== 'pour' || step.id === lastId) {
      if (step.id === lastId) steps.push(tiltStep([...level.steps, ...steps], LEVEL));
      steps.push(step);
      continue;
    }
    const half = halved(step);
    const known = (): readonly Step[] => [...level.steps, ...steps];
    steps.push(tiltStep(known(), tiltAlong(along, degrees)), half);
    steps.push(tiltStep(known(), tiltAlong(along, -degrees)));
    steps.push({ ...half, id: freshId('s', known()) });
  }
  return { ...level, steps: withoutIdleTilts(steps) };
}

function halved(pour: Pour): Pour {
  const { amount } = pour;
  if (amount.kind === 'rest') return { ...pour, amount: { ...amount, parts: amount.parts / 2 } };
  if (amount.kind === 'mass') return { ...pour, amount: { ...amount, massG: amount.massG / 2 } };
  if (amount.kind === 'percent') return { ...pour, amount: { ...amount, percent: amount.percent / 2 } };
  return pour;
}

/**
 * Pour "from this line on the left wall to that line on the right": the tilt that makes such a slope, and the
 * pour up to it. Refused ('too-steep') beyond 60 degrees. Heights in mm above the lined floor.
 */
export function slopeBetween(
  plan: Plan,
  room: Room,
  pourId: StepId,
  leftMm: number,
  rightMm: number,
): Result<Plan> {
  const left = wallPoint(room, 'left', leftMm);
  const right = wallPoint(room, 'right', rightMm);
  const rollDeg = Math.round(tiltOfDrop(right[0] - left[0], leftMm - rightMm) * 100) / 100;
  if (Math.abs(rollDeg) > STEEPEST_DEG)
    return fail(
      'too-steep',
      `That slope needs a tilt of ${rollDeg.toFixed(1)}°; ${STEEPEST_DEG}° is the most`,
    );
  // up to the lower mark: that end is certain to be on the wall
  const wall = leftMm <= rightMm ? ('left' as const) : ('right' as const);
  const heightMm = Math.max(0.1, Math.min(leftMm, rightMm));
  return ok(
    setAmount(setTilt(plan, pourId, { rollDeg, pitchDeg: 0 }), pourId, { kind: 'line', wall, heightMm }),
  );
}
