import type { Plan } from '../../core/plan/planSchema.ts';
import { LoafThumb } from './LoafThumb.tsx';
import { usePicture } from './usePicture.ts';

interface PlanThumbProps {
  readonly plan: Plan;
  /** what a picture of it may be remembered by */
  readonly remember?: string;
  readonly width: number;
  readonly height: number;
}

/** The little loaf section of a plan that stands by itself. */
export function PlanThumb({ plan, remember, width, height }: PlanThumbProps) {
  return <LoafThumb mould={plan.mould} picture={usePicture(plan, remember)} width={width} height={height} />;
}
