import { Outlet, useLocation } from 'react-router';
import type { Warning } from '../../../core/advice/warning.ts';
import { Station } from '../../parts/Station.tsx';
import { StationPages } from '../../parts/StationPages.tsx';

const PAGES = [
  { path: 'timetable', name: 'When to pour' },
  { path: 'ways', name: 'Plan it for me' },
  { path: 'conditions', name: 'Conditions' },
  { path: 'teach', name: 'Teach it' },
  { path: 'stages', name: 'Thick enough?' },
  { path: 'after', name: 'After the pour' },
] as const;

/**
 * Pages that are not about the minutes of this plan, or find ways out by themselves: what is too thick when
 * is told on the others.
 */
const WITHOUT_MINUTES = /\/(ways|teach|stages|after)$/;

const isOfMinutes = ({ code }: Warning): boolean => code.startsWith('clock-');

/** The clock: when to pour what, ways that hold, and what all of that rests on. */
export function ClockStation() {
  const { pathname } = useLocation();
  const tells = WITHOUT_MINUTES.test(pathname) ? (w: Warning) => !isOfMinutes(w) : () => true;
  return (
    <Station station="clock" title="Clock" below={<StationPages label="Clock" pages={PAGES} />} tells={tells}>
      <Outlet />
    </Station>
  );
}
