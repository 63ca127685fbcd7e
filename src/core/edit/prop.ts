import type { StepId } from '../validate/ids.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import { tiltOfProps, type Foot, type PutUnder } from '../mould/propped.ts';
import { standsOn } from '../mould/props.ts';
import type { Mould } from '../mould/schema.ts';
import { LEVEL } from '../mould/tilt.ts';
import { mouldOfStep, usesOf } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import { ok, type Result } from '../result/result.ts';
import { setTilt } from './tilt.ts';

export const footOf = (mould: Mould): Foot => standsOn(mould, mouldGeometry(mould));

const tiltBefore = (plan: Plan, pourId: StepId): (Step & { kind: 'tilt' }) | undefined => {
  const at = plan.steps.findIndex((s) => s.id === pourId);
  const step = plan.steps.findLast((s, i) => i < at && s.kind === 'tilt');
  return step?.kind === 'tilt' ? step : undefined;
};

/** What is under the mould at a pour, where the plan says so; otherwise its angles alone are given. */
export const propsAt = (plan: Plan, pourId: StepId): readonly PutUnder[] =>
  tiltBefore(plan, pourId)?.props ?? [];

/**
 * Put things under the mould from this pour on: the tilt follows from them, now and when the mould changes.
 */
export function propUp(plan: Plan, pourId: StepId, props: readonly PutUnder[]): Result<Plan> {
  if (props.length === 0) return ok(setTilt(plan, pourId, LEVEL));
  const tilt = tiltOfProps(footOf(plan.mould), props);
  if (!tilt.ok) return tilt;
  const tilted = setTilt(plan, pourId, tilt.value);
  const step = tiltBefore(tilted, pourId);
  return ok({
    ...tilted,
    steps: tilted.steps.map((s) => (s === step ? { ...s, props: props.map((p) => ({ ...p })) } : s)),
  });
}

/** The same things under another mould give other angles. The plan itself where nothing changes. */
export function settleProps(plan: Plan): Plan {
  if (!plan.steps.some((s) => s.kind === 'tilt' && s.props)) return plan;
  const moulds = new Map(usesOf(plan).map((u) => [u.id, u.mould] as const));
  const steps = plan.steps.map((s) => {
    const mould = moulds.get(mouldOfStep(s));
    if (s.kind !== 'tilt' || !s.props || !mould) return s;
    const tilt = tiltOfProps(footOf(mould), s.props);
    if (!tilt.ok || (tilt.value.rollDeg === s.rollDeg && tilt.value.pitchDeg === s.pitchDeg)) return s;
    return { ...s, ...tilt.value };
  });
  return steps.some((s, i) => s !== plan.steps[i]) ? { ...plan, steps } : plan;
}
