import { NavLink, Outlet } from 'react-router';
import { Station } from '../../parts/Station.tsx';

const PAGES = [
  { path: 'pots', name: 'Pots' },
  { path: 'ombre', name: 'Ombre' },
  { path: 'mixing', name: 'Mixing and checks' },
] as const;

/** Colour in three pages: what is in each pot, the grading of an ombre, and how all of it is mixed and reads. */
export function ColourStation() {
  return (
    <Station
      station="colour"
      title="Colour"
      below={
        <nav aria-label="Colour" className="rule flex gap-6 border-b">
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
