import { Outlet } from 'react-router';
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

/** The clock: when to pour what, ways that hold, and what all of that rests on. */
export function ClockStation() {
  return (
    <Station station="clock" title="Clock" below={<StationPages label="Clock" pages={PAGES} />}>
      <Outlet />
    </Station>
  );
}
