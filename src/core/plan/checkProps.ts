import { mouldGeometry } from '../mould/geometry.ts';
import { tiltOfProps } from '../mould/propped.ts';
import { standsOn } from '../mould/props.ts';
import type { Fault } from '../result/result.ts';
import { mouldOfStep, usesOf } from './moulds.ts';
import type { Plan } from './planSchema.ts';

/** Angles that are written beside props must be those that the props give: to this, degrees. */
const SAME_ANGLE = 1e-6;

/** Props must be able to stand under the mould, and the angles be theirs. */
export function propFaults(plan: Plan): Fault[] {
  if (!plan.steps.some((s) => s.kind === 'tilt' && s.props)) return [];
  const moulds = new Map(usesOf(plan).map((u) => [u.id, u.mould] as const));
  return plan.steps.flatMap((s, i): Fault[] => {
    const mould = moulds.get(mouldOfStep(s));
    if (s.kind !== 'tilt' || !s.props || !mould) return [];
    const at = `steps.${i}.props`;
    const tilt = tiltOfProps(standsOn(mould, mouldGeometry(mould)), s.props);
    if (!tilt.ok) return [{ ...tilt.fault, at }];
    const { rollDeg, pitchDeg } = tilt.value;
    return Math.abs(rollDeg - s.rollDeg) + Math.abs(pitchDeg - s.pitchDeg) > SAME_ANGLE
      ? [
          {
            code: 'prop-angles' as const,
            message: `these props give ${rollDeg.toFixed(2)}° and ${pitchDeg.toFixed(2)}°, not ${s.rollDeg.toFixed(2)}° and ${s.pitchDeg.toFixed(2)}°`,
            at,
          },
        ]
      : [];
  });
}
