import type { Job } from '../../../core/clock/hands.ts';
import { actName } from '../../../core/clock/words.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { formatClock } from '../../../core/units/format.ts';
import type { Minutes } from '../../../core/units/quantity.ts';
import { xOf, type LaneScale } from './lane.ts';

interface JobBarProps {
  readonly plan: Plan;
  readonly job: Job;
  readonly scale: Pick<LaneScale, 'width' | 'untilMin'>;
  readonly high: number;
  /** its batch has its minute 0 then */
  readonly startMin?: Minutes;
}

/** One job of a pair of hands, on a line through time; pours stand out. */
export function JobBar({ plan, job, scale, high, startMin = 0 }: JobBarProps) {
  const { from, to, timed } = job;
  const pours = timed.act.does === 'pour' || timed.act.does === 'pipe';
  return (
    <rect
      x={xOf(scale, startMin + from)}
      y="3"
      width={Math.max(1, xOf(scale, to - from) - 0.7)}
      height={high - 6}
      fill={pours ? 'var(--color-accent)' : 'var(--color-secondary)'}
      opacity={pours ? 0.9 : 0.5}
    >
      <title>{`${actName(plan, timed)}: ${formatClock(startMin + from)} to ${formatClock(startMin + to)}`}</title>
    </rect>
  );
}
