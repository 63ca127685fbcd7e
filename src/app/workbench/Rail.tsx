import { NavLink } from 'react-router';
import type { Station, Warning } from '../../core/advice/warning.ts';
import type { Computed } from '../../core/computed/compute.ts';
import { Introduction } from '../help/Introduction.tsx';
import { DOUBTFUL, SURE, useOdds, type OddsShown } from '../clock/useOdds.ts';
import { useFigure } from '../parts/usePlan.ts';
import { useShow } from '../parts/useShow.ts';
import { StateMark, type StationState } from './StateMark.tsx';
import { STATIONS, type StationEntry } from './stations.ts';

const stateOf = (warnings: readonly Warning[]): StationState => {
  if (warnings.some((w) => w.level === 'refuse')) return 'trouble';
  if (warnings.some((w) => w.level === 'warn')) return 'care';
  return warnings.length > 0 ? 'estimated' : 'settled';
};

/** What the odds say of the clock, and of a sheet that rests on it. */
function oddsState(odds: OddsShown): StationState {
  if (odds.kind === 'unknown') return 'estimated';
  const { whole } = odds.odds;
  return whole >= SURE ? 'settled' : whole >= DOUBTFUL ? 'estimated' : 'care';
}

const GRAVITY: readonly StationState[] = ['settled', 'estimated', 'care', 'trouble'];

const graver = (a: StationState, b: StationState): StationState =>
  GRAVITY.indexOf(a) >= GRAVITY.indexOf(b) ? a : b;

/** How a station stands: by what is said of it; the clock and the sheet by how often the plan holds too. */
function stationState(
  station: Station,
  { warnings, weights, clock }: Computed,
  odds: OddsShown,
): StationState {
  const own = stateOf(warnings.filter((w) => w.station === station));
  if (station === 'clock') return clock ? graver(own, oddsState(odds)) : own;
  if (station !== 'sheet') return own;
  if (!weights) return 'trouble';
  const doubtful = oddsState(odds) === 'care' ? 'care' : 'settled';
  return clock ? graver(own, doubtful) : own;
}

/** One station. It is drawn again only when what it says changes. */
function RailLink({ of: { station, name, line } }: { readonly of: StationEntry }) {
  const odds = useOdds();
  const show = useShow(useFigure((c) => c.plan.units));
  const says = useFigure((c) => line(c, show, odds));
  const state = useFigure((c) => stationState(station, c, odds));
  return (
    <NavLink
      to={station}
      className={({ isActive }) =>
        `flex min-h-10 min-w-0 shrink-0 items-center gap-1 border-b-4 px-2 whitespace-nowrap sm:items-start sm:px-3 sm:py-2 sm:whitespace-normal short:items-center short:px-2 short:py-0 short:whitespace-nowrap bench:flex-none bench:gap-2.5 bench:border-b-0 bench:border-l-4 bench:px-4 bench:py-2.5 ${isActive ? 'border-accent bg-base-100' : 'border-transparent hover:bg-base-100/60'}`
      }
    >
      <span className="mt-0.5 shrink-0">
        <StateMark state={state} />
      </span>
      <span className="grid min-w-0">
        <span className="font-bold">{name}</span>
        <span className="quiet hidden text-sm leading-tight sm:block short:hidden">{says}</span>
      </span>
    </NavLink>
  );
}

/** The stations, each showing at a glance how it stands. */
export function Rail() {
  return (
    <nav
      aria-label="Stations"
      className="no-print rule flex min-w-0 flex-1 overflow-x-auto max-sm:contents sm:grid sm:grid-cols-7 short:flex bench:flex bench:min-h-0 bench:flex-none bench:flex-col bench:overflow-y-auto bench:border-r bench:border-b-0 bench:py-3"
    >
      {STATIONS.map((s) => (
        <RailLink key={s.station} of={s} />
      ))}
      <Introduction of="stations" className="mx-3 mt-3" />
    </nav>
  );
}
