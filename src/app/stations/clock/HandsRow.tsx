import { freeOf, jobsOf } from '../../../core/clock/hands.ts';
import type { Timetable } from '../../../core/clock/timetable.ts';
import { formatMinutes } from '../../../core/units/format.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { JobBar } from './JobBar.tsx';
import { xOf, type LaneScale } from './lane.ts';

/** Hands that are free for less than this are not told. */
const FREE_MIN = 0.5;

const HIGH = 22;

/** What one pair of hands does when, and when it is free. */
export function HandsRow({ clock, scale }: { readonly clock: Timetable; readonly scale: LaneScale }) {
  const { plan } = usePlan();
  return (
    <div className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-2">
      <p className="quiet pt-0.5 text-sm">Your hands</p>
      <svg
        width={scale.width}
        height={HIGH}
        viewBox={`0 0 ${scale.width} ${HIGH}`}
        role="img"
        aria-label="What your hands do when"
      >
        <rect width={scale.width} height={HIGH} fill="none" stroke="var(--color-base-300)" />
        {freeOf(clock, FREE_MIN)
          .filter(({ from, to }) => xOf(scale, to - from) > 60)
          .map(({ from, to }) => (
            <text
              key={from}
              x={xOf(scale, (from + to) / 2)}
              y="15.5"
              fontSize="12"
              textAnchor="middle"
              fill="var(--color-secondary)"
            >
              {`free ${formatMinutes(to - from)}`}
            </text>
          ))}
        {jobsOf(clock).map((job) => (
          <JobBar key={job.timed.place} plan={plan} job={job} scale={scale} high={HIGH} />
        ))}
      </svg>
    </div>
  );
}
