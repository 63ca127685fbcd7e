import type { Timetable } from '../../../core/clock/timetable.ts';
import { actName } from '../../../core/clock/words.ts';
import { formatClock, formatMinutes } from '../../../core/units/format.ts';
import { usePlan } from '../../parts/usePlan.ts';
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
        {clock.acts.map((timed, i) => {
          const from = timed.preparedMin;
          const freeFrom = clock.acts[i - 1]?.endMin ?? 0;
          const gap = from - freeFrom;
          const width = xOf(scale, timed.endMin - from);
          const pours = timed.act.does === 'pour' || timed.act.does === 'pipe';
          return (
            <g key={timed.place}>
              {gap > FREE_MIN && xOf(scale, gap) > 60 && (
                <text
                  x={xOf(scale, freeFrom + gap / 2)}
                  y="15.5"
                  fontSize="12"
                  textAnchor="middle"
                  fill="var(--color-secondary)"
                >
                  {`free ${formatMinutes(gap)}`}
                </text>
              )}
              {width > 0 && (
                <rect
                  x={xOf(scale, from)}
                  y="3"
                  width={Math.max(1, width - 0.7)}
                  height={HIGH - 6}
                  fill={pours ? 'var(--color-accent)' : 'var(--color-secondary)'}
                  opacity={pours ? 0.9 : 0.5}
                >
                  <title>{`${actName(plan, timed)}: ${formatClock(from)} to ${formatClock(timed.endMin)}`}</title>
                </rect>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
