import type { Plan } from '../../core/plan/planSchema.ts';
import { LoafThumb } from './LoafThumb.tsx';
import { usePicture } from './usePicture.ts';

interface PlanThumbProps {
  readonly plan: Plan;
  readonly width: number;
  readonly height: number;
}

/** The little loaf section of a plan that stands by itself. */
export function PlanThumb({ plan, width, height }: PlanThumbProps) {
  return <LoafThumb mould={plan.mould} picture={usePicture(plan)} width={width} height={height} />;
}
