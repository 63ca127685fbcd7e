import type { NextBatch } from '../../../core/clock/batches.ts';
import { jobsOf } from '../../../core/clock/hands.ts';
import type { Timetable } from '../../../core/clock/timetable.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { formatClock } from '../../../core/units/format.ts';
import { useSize } from '../../parts/useSize.ts';
import { JobBar } from './JobBar.tsx';
import { ticksOf, xOf } from './lane.ts';

/** A batch at its minutes. */
export interface BatchShown extends Omit<NextBatch, 'place'> {
  readonly plan: Plan;
  readonly name: string;
  readonly clock: Timetable;
}

const HIGH = 20;
const FOOT = 18;

/** A row a batch: when hands are at it, all on the clock of the first. */
export function BatchRows({ batches }: { readonly batches: readonly BatchShown[] }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const untilMin = Math.max(...batches.map((b) => b.endMin)) * 1.02;
  const scale = { width: Math.max(120, width - 4), untilMin };
  return (
    <div ref={ref} className="grid gap-2">
      {batches.map((batch, nth) => (
        <div key={nth}>
          <p className="text-sm">
            <strong>
              Batch {nth + 1}, {batch.name}:
            </strong>{' '}
            {nth === 0
              ? `as it is timed above, poured by ${formatClock(batch.endMin)}`
              : `lye to its oils at ${formatClock(batch.beginMin)}, its own minute 0 at ${formatClock(batch.startMin)}, poured by ${formatClock(batch.endMin)}`}
          </p>
          <svg
            width={scale.width}
            height={HIGH}
            viewBox={`0 0 ${scale.width} ${HIGH}`}
            role="img"
            aria-label={`When hands are at batch ${nth + 1}`}
          >
            <rect width={scale.width} height={HIGH} fill="none" stroke="var(--color-base-300)" />
            {nth > 0 && (
              <rect
                x={xOf(scale, batch.beginMin)}
                y="3"
                width={Math.max(1, xOf(scale, batch.startMin - batch.beginMin) - 0.7)}
                height={HIGH - 6}
                fill="none"
                stroke="var(--color-secondary)"
              />
            )}
            {jobsOf(batch.clock).map((job) => (
              <JobBar
                key={job.timed.place}
                plan={batch.plan}
                job={job}
                scale={scale}
                high={HIGH}
                startMin={batch.startMin}
              />
            ))}
          </svg>
        </div>
      ))}
      <svg width={scale.width} height={FOOT} aria-hidden="true">
        {ticksOf(untilMin, Math.max(2, Math.floor(scale.width / 70))).map((t) => (
          <text
            key={t}
            x={Math.min(scale.width - 18, Math.max(8, xOf(scale, t)))}
            y="13"
            fontSize="12"
            textAnchor="middle"
            fill="currentColor"
          >
            {t}
          </text>
        ))}
      </svg>
    </div>
  );
}
