import { LEVEL, type Tilt } from '../mould/tilt.ts';
import type { Plan } from './planSchema.ts';
import type { Pour } from './stepSchema.ts';

export interface TiltedPour {
  readonly pour: Pour;
  readonly tilt: Tilt;
}

/** The pours in order, each with the tilt the mould stands at when it is made. */
export function poursOf(plan: Plan): readonly TiltedPour[] {
  const pours: TiltedPour[] = [];
  let tilt: Tilt = LEVEL;
  for (const step of plan.steps) {
    if (step.kind === 'tilt') tilt = { rollDeg: step.rollDeg, pitchDeg: step.pitchDeg };
    else if (step.kind === 'pour') pours.push({ pour: step, tilt });
  }
  return pours;
}

export const totalHeldBack = (plan: Plan): number => plan.fill.top.reduce((s, t) => s + t.massG, 0);
