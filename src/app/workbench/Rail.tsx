import { NavLink } from 'react-router';
import type { Warning } from '../../core/advice/warning.ts';
import { usePlan } from '../parts/usePlan.ts';
import { StateMark, type StationState } from './StateMark.tsx';
import { STATIONS } from './stations.ts';

const stateOf = (warnings: readonly Warning[]): StationState => {
  if (warnings.some((w) => w.level === 'refuse')) return 'trouble';
  if (warnings.some((w) => w.level === 'warn')) return 'care';
  return warnings.length > 0 ? 'estimated' : 'settled';
};

/** The stations, each showing at a glance how it stands. */
export function Rail() {
  const { computed, show } = usePlan();
  return (
    <nav
      aria-label="Stations"
      className="no-print rule grid grid-cols-3 border-b sm:grid-cols-6 bench:flex bench:flex-col bench:overflow-visible bench:border-r bench:border-b-0 bench:py-3"
    >
      {STATIONS.map((s) => (
        <NavLink
          key={s.station}
          to={s.station}
          className={({ isActive }) =>
            `flex min-w-0 items-start gap-1.5 border-b-4 px-2 py-1.5 sm:px-3 sm:py-2 bench:flex-none bench:gap-2.5 bench:border-b-0 bench:border-l-4 bench:px-4 bench:py-2.5 ${isActive ? 'border-accent bg-base-100' : 'border-transparent hover:bg-base-100/60'}`
          }
        >
          <span className="mt-0.5 shrink-0">
            <StateMark
              state={
                s.station === 'pour-day' && !computed.weights
                  ? 'trouble'
                  : stateOf(computed.warnings.filter((w) => w.station === s.station))
              }
            />
          </span>
          <span className="grid min-w-0">
            <span className="font-bold">{s.name}</span>
            <span className="quiet hidden text-sm leading-tight sm:block">{s.line(computed, show)}</span>
          </span>
        </NavLink>
      ))}
    </nav>
  );
}
