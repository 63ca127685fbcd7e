import { NavLink, Outlet } from 'react-router';
import { Station } from '../../parts/Station.tsx';

const PAGES = [
  { path: 'timetable', name: 'When to pour what' },
  { path: 'ways', name: 'Plan it for me' },
  { path: 'conditions', name: 'What it rests on' },
  { path: 'teach', name: 'Teach it' },
] as const;

/** The clock: when to pour what, ways that hold, and what all of that rests on. */
export function ClockStation() {
  return (
    <Station
      station="clock"
      title="Clock"
      below={
        <nav aria-label="Clock" className="rule flex flex-wrap gap-x-6 border-b">
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
