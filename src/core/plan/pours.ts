import { LEVEL, type Tilt } from '../mould/tilt.ts';
import type { Plan } from './planSchema.ts';
import type { Pour } from './stepSchema.ts';
import type { StepId } from '../validate/ids.ts';

export interface TiltedPour {
  readonly pour: Pour;
  readonly tilt: Tilt;
  /** the step that sets the mould level while this is still fluid; undefined where it sets as it is poured */
  readonly settledBy?: StepId;
  /** the columns are out by then, and their holes filled */
  readonly pulled?: true;
}

/** The pours in order, each with the tilt the mould stands at when it is made. */
export function poursOf(plan: Pick<Plan, 'steps'>): readonly TiltedPour[] {
  const pours: TiltedPour[] = [];
  let tilt: Tilt = LEVEL;
  let fluidFrom = 0;
  let pulled = false;
  for (const step of plan.steps) {
    if (step.kind === 'pour') pours.push({ pour: step, tilt, ...(pulled ? { pulled } : {}) });
    else if (step.kind === 'pull') pulled = true;
    else if (step.kind === 'tilt') {
      if (step.fluid)
        for (let i = fluidFrom; i < pours.length; i += 1)
          pours[i] = { ...(pours[i] as TiltedPour), settledBy: step.id };
      tilt = { rollDeg: step.rollDeg, pitchDeg: step.pitchDeg };
    }
    if (step.kind === 'tilt' || step.kind === 'wait' || step.kind === 'scrape') fluidFrom = pours.length;
  }
  return pours;
}

export const totalHeldBack = (plan: Plan): number => plan.fill.top.reduce((s, t) => s + t.massG, 0);
