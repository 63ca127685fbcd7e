import { NavLink, Outlet } from 'react-router';
import { Station } from '../../parts/Station.tsx';

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
    <Station
      station="clock"
      title="Clock"
      below={
        <nav aria-label="Clock" className="rule flex flex-wrap gap-x-5 border-b">
          {PAGES.map((page) => (
            <NavLink
              key={page.path}
              to={page.path}
              className={({ isActive }) =>
                `-mb-px border-b-3 pb-1.5 ${isActive ? 'border-accent font-bold' : 'quiet border-transparent hover:text-base-content'}`
              }
            >
              {page.name}
            </NavLink>
          ))}
        </nav>
      }
    >
      <Outlet />
    </Station>
  );
}
